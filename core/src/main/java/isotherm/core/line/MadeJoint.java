package isotherm.core.line;

import isotherm.core.parts.HoseEnd;
import isotherm.core.parts.Joint;
import isotherm.core.parts.MakersFigure;
import isotherm.core.parts.Practice;
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
 * @param practice what builders do in two ways at it
 * @param turned whether an elbow with a taper thread ends pointing where its thread lets it
 */
public record MadeJoint(
        String first, String second, FittingChain.Pair pair, Tightening tightening, Practice practice, boolean turned) {
    private static final String HOSE_END = "hose end";

    /** @return what goes on the thread: what its joint takes, unless the maker's figure holds for a dry one */
    public String onThread() {
        return tightening.onThread(practice.onThread(pair.one().joint()));
    }

    /** @return what makes it tight */
    public String seal() {
        return practice.seal(pair.one().joint());
    }

    /** @return share of all directions in which an elbow can end within its turns, 0 to 1; 1 for what swivels */
    public double directions() {
        return turned ? Math.min(1, (tightening.mostTurn() - tightening.leastTurn()) / (2 * Math.PI)) : 1;
    }

    /** A part on the way, with what its maker says; a port's metal is its maker's, that of fittings is chosen. */
    private record Item(String name, Optional<MakersFigure> figure, boolean port, double angle) {
        static Item of(Line.Port port) {
            return new Item(port.name(), port.figure(), true, 0);
        }

        static Item of(HoseEnd end) {
            return new Item(HOSE_END, end.figure(), false, 0);
        }
    }

    /**
     * @param line a line
     * @param practice what builders do in two ways at joints
     * @return its joints at the first port, in the order of the oil's way; none where no fittings lead there
     */
    public static List<MadeJoint> atFirst(Line line, Practice practice) {
        return line.fromChain()
                .flatMap(chain -> line.fromEnd()
                        .map(end -> joints(
                                Item.of(line.from()),
                                chain,
                                Item.of(end),
                                chain.joints(line.from().end(), end.end()),
                                practice)))
                .orElse(List.of());
    }

    /**
     * @param line a line
     * @param practice what builders do in two ways at joints
     * @return its joints at the last port, in the order of the oil's way; none where no fittings lead there
     */
    public static List<MadeJoint> atLast(Line line, Practice practice) {
        return line.toChain()
                .flatMap(chain -> line.toEnd()
                        .map(end -> joints(
                                Item.of(end),
                                chain,
                                Item.of(line.to()),
                                chain.joints(end.end(), line.to().end()),
                                practice)))
                .orElse(List.of());
    }

    private static List<MadeJoint> joints(
            Item from, FittingChain chain, Item to, List<FittingChain.Pair> pairs, Practice practice) {
        List<Item> items = new ArrayList<>();
        items.add(from);
        chain.steps()
                .forEach(s -> items.add(new Item(
                        "adaptor " + s.adaptor().number(),
                        s.adaptor().figure(),
                        false,
                        s.adaptor().angle())));
        items.add(to);
        List<MadeJoint> made = new ArrayList<>();
        for (int i = 0; i < pairs.size(); i++) {
            Item one = items.get(i);
            Item other = items.get(i + 1);
            // A port of aluminium shears at what two steel fittings would take.
            Practice here = one.port() || other.port()
                    ? new Practice(practice.washer(), Practice.Metal.ALUMINIUM, practice.clamped())
                    : practice;
            made.add(new MadeJoint(
                    one.name(),
                    other.name(),
                    pairs.get(i),
                    Tightening.of(pairs.get(i).one(), MakersFigure.weaker(one.figure(), other.figure()), here),
                    here,
                    pairs.get(i).one().joint() == Joint.TAPER && Math.max(one.angle(), other.angle()) > 0));
        }
        return made;
    }
}
