package isotherm.core.line;

import isotherm.core.parts.MakersFigure;
import isotherm.core.parts.Tightening;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A joint of a line with the two parts that meet in it.
 *
 * @param first the part that the oil leaves
 * @param second the part that it enters
 * @param pair their two ends
 * @param tightening how it is tightened: by a maker's figure where one of the two has one
 */
public record MadeJoint(String first, String second, FittingChain.Pair pair, Tightening tightening) {
    private static final String HOSE_END = "hose end";
    /** What goes on a thread whose figure holds for a dry one. */
    private static final String DRY = "nothing: its maker's figure is for a dry thread";

    /** @return what goes on the thread: what its joint takes, unless the maker's figure holds for a dry one */
    public String onThread() {
        return tightening.makers() && !tightening.oiled()
                ? DRY
                : pair.one().joint().onThread();
    }

    /** A part on the way, with what its maker says. */
    private record Item(String name, Optional<MakersFigure> figure) {}

    /**
     * @param line a line
     * @return its joints at the first port, in the order of the oil's way; none where no fittings lead there
     */
    public static List<MadeJoint> atFirst(Line line) {
        return line.fromChain()
                .flatMap(chain -> line.fromEnd()
                        .map(end -> joints(
                                new Item(line.from().name(), line.from().figure()),
                                chain,
                                new Item(HOSE_END, end.figure()),
                                chain.joints(line.from().end(), end.end()))))
                .orElse(List.of());
    }

    /**
     * @param line a line
     * @return its joints at the last port, in the order of the oil's way; none where no fittings lead there
     */
    public static List<MadeJoint> atLast(Line line) {
        return line.toChain()
                .flatMap(chain -> line.toEnd()
                        .map(end -> joints(
                                new Item(HOSE_END, end.figure()),
                                chain,
                                new Item(line.to().name(), line.to().figure()),
                                chain.joints(end.end(), line.to().end()))))
                .orElse(List.of());
    }

    private static List<MadeJoint> joints(Item from, FittingChain chain, Item to, List<FittingChain.Pair> pairs) {
        List<Item> items = new ArrayList<>();
        items.add(from);
        chain.steps()
                .forEach(s -> items.add(
                        new Item("adaptor " + s.adaptor().number(), s.adaptor().figure())));
        items.add(to);
        List<MadeJoint> made = new ArrayList<>();
        for (int i = 0; i < pairs.size(); i++) {
            Item one = items.get(i);
            Item other = items.get(i + 1);
            made.add(new MadeJoint(
                    one.name(),
                    other.name(),
                    pairs.get(i),
                    Tightening.of(pairs.get(i).one(), MakersFigure.weaker(one.figure(), other.figure()))));
        }
        return made;
    }
}
