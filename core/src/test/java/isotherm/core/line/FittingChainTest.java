package isotherm.core.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.catalogue.PlumbingParts;
import isotherm.core.parts.Adaptor;
import isotherm.core.parts.End;
import isotherm.core.parts.HoseEnd;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Joint;
import isotherm.core.parts.Parts;
import isotherm.core.parts.Takeoff;
import isotherm.core.parts.Tightening;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Joints that are tight, and the shortest chains of them. */
class FittingChainTest {
    private static final Parts PARTS = PlumbingParts.shipped();
    private static final List<Adaptor> ADAPTORS = PARTS.adaptors();
    private static final double BORE = 0.0142;
    private static final List<End> ENDS = Stream.of(
                    ADAPTORS.stream().flatMap(a -> Stream.of(a.first(), a.second())),
                    PARTS.takeoffs().stream().map(Takeoff::port),
                    PARTS.ends().stream().map(HoseEnd::end))
            .flatMap(s -> s)
            .flatMap(e -> Stream.of(e, e.counterpart()))
            .distinct()
            .toList();

    @Test
    void everyAdaptorMatesOnlyWithItsCounterpart() {
        for (Adaptor a : ADAPTORS) {
            for (End mine : List.of(a.first(), a.second())) {
                for (End other : ENDS) {
                    assertThat(mine.mates(other))
                            .as("%s with %s", mine, other)
                            .isEqualTo(other.equals(mine.counterpart()));
                    assertThat(mine.mates(other)).isEqualTo(other.mates(mine));
                }
            }
        }
    }

    @Test
    void flareInAnORingBossOfTheSameThreadIsNotTightAndSaysWhy() {
        End flare = new End(Joint.FLARE_37, "-10", true);
        End boss = new End(Joint.O_RING_BOSS, "-10", false);
        assertThat(flare.mates(boss)).isFalse();
        assertThat(flare.whyNot(boss)).contains("threads are the same").contains("O-ring");
        assertThat(flare.whyNot(flare)).isEqualTo("both are male");
        assertThat(flare.whyNot(new End(Joint.FLARE_37, "-8", false))).contains("-10 and -8 differ");
    }

    @Test
    void tapeGoesOnTaperThreadsOnly() {
        for (Joint j : Joint.values()) {
            boolean tape = j.onThread().contains("tape") && !j.onThread().contains("never tape");
            assertThat(tape).as(j.words()).isEqualTo(j == Joint.TAPER);
        }
    }

    /** FAA AC 43.13-1B, table 9-2: 200 to 350 in·lb for a flare of -10 in aluminium. */
    @Test
    void flaresTorqueIsThePublishedOne() {
        Tightening t = Tightening.of(new End(Joint.FLARE_37, "-10", true));
        assertThat(t.torque().orElseThrow().low()).isEqualTo(22.6, within(0.1));
        assertThat(t.torque().orElseThrow().high()).isEqualTo(39.5, within(0.1));
        assertThat(t.wrench()).isEqualTo(0.0254, within(1e-9));
    }

    /** Fewest adaptors between two ends, by plain breadth-first search over open ends. */
    private static Map<End, Integer> fewest(End from) {
        Map<End, Integer> steps = new HashMap<>(Map.of(from, 0));
        Deque<End> open = new ArrayDeque<>(List.of(from));
        while (!open.isEmpty()) {
            End at = open.remove();
            for (Adaptor a : ADAPTORS) {
                for (End[] turned : new End[][] {{a.first(), a.second()}, {a.second(), a.first()}}) {
                    if (at.joint() == turned[0].joint()
                            && at.size().equals(turned[0].size())
                            && at.male() != turned[0].male()
                            && steps.putIfAbsent(turned[1], steps.get(at) + 1) == null) {
                        open.add(turned[1]);
                    }
                }
            }
        }
        return steps;
    }

    @Test
    void hundredRandomPairsGetTheShortestChainWithEveryJointTight() {
        Random random = new Random(11);
        int chained = 0;
        for (int n = 0; n < 100; n++) {
            End from = ENDS.get(random.nextInt(ENDS.size()));
            End to = ENDS.get(random.nextInt(ENDS.size()));
            Optional<FittingChain> found = FittingChain.find(ADAPTORS, from, to, FittingChain.Wish.JOINTS, BORE);
            Map<End, Integer> fewest = fewest(from);
            Integer brute = ENDS.stream()
                    .filter(e -> e.mates(to))
                    .map(fewest::get)
                    .filter(java.util.Objects::nonNull)
                    .min(Integer::compare)
                    .orElse(null);
            if (brute == null) {
                assertThat(found).as("%s to %s", from, to).isEmpty();
            } else {
                chained++;
                assertThat(found.orElseThrow().steps()).as("%s to %s", from, to).hasSize(brute);
                assertThat(found.orElseThrow().joints(from, to)).allMatch(FittingChain.Pair::tight);
            }
        }
        assertThat(chained).isGreaterThan(30);
    }

    @ParameterizedTest
    @EnumSource(FittingChain.Wish.class)
    void chainIsTheBestOfAllOfUpToThreeAdaptorsByItsWish(FittingChain.Wish wish) {
        End port = new End(Joint.BSPP, "1/2", false);
        End hose = new End(Joint.FLARE_37, "-8", false);
        FittingChain found = FittingChain.find(ADAPTORS, port, hose, wish, BORE).orElseThrow();
        double best = Double.POSITIVE_INFINITY;
        for (List<FittingChain.Step> steps : chains(port, 3)) {
            if (steps.get(steps.size() - 1).out().mates(hose)) {
                best = Math.min(best, cost(new FittingChain(steps), wish));
            }
        }
        assertThat(cost(found, wish)).isEqualTo(best, within(1e-9));
    }

    private static double cost(FittingChain c, FittingChain.Wish wish) {
        return switch (wish) {
            case JOINTS -> c.steps().size();
            case PRICE -> c.price();
            case LOSS -> c.heads(BORE);
        };
    }

    private static List<List<FittingChain.Step>> chains(End from, int most) {
        List<List<FittingChain.Step>> all = new ArrayList<>();
        List<List<FittingChain.Step>> last = List.of(List.of());
        for (int n = 0; n < most; n++) {
            List<List<FittingChain.Step>> next = new ArrayList<>();
            for (List<FittingChain.Step> chain : last) {
                End open = chain.isEmpty() ? from : chain.get(chain.size() - 1).out();
                for (Adaptor a : ADAPTORS) {
                    for (FittingChain.Step s : List.of(
                            new FittingChain.Step(a, a.first(), a.second()),
                            new FittingChain.Step(a, a.second(), a.first()))) {
                        if (open.mates(s.in())) {
                            List<FittingChain.Step> longer = new ArrayList<>(chain);
                            longer.add(s);
                            next.add(longer);
                        }
                    }
                }
            }
            all.addAll(next);
            last = next;
        }
        return all;
    }

    @Test
    void endsThatMateNeedNoAdaptor() {
        End flare = new End(Joint.FLARE_37, "-10", true);
        for (FittingChain.Wish wish : FittingChain.Wish.values()) {
            assertThat(FittingChain.find(ADAPTORS, flare, flare.counterpart(), wish, BORE))
                    .contains(new FittingChain(List.of()));
        }
    }

    @Test
    void narrowAdaptorLosesByTheFourthPowerOfItsBore() {
        End e = new End(Joint.FLARE_37, "-10", true);
        Adaptor wide = new Adaptor("m", "w", e, e, 0.0142, 0.03, 0, 5, 0.05);
        Adaptor narrow = new Adaptor("m", "n", e, e, 0.0071, 0.03, 0, 5, 0.05);
        assertThat(narrow.heads(0.0142) / wide.heads(0.0142)).isEqualTo(16, within(1e-9));
        assertThat(new Adaptor("m", "b", e, e, 0.0142, 0.03, Math.PI / 2, 5, 0.05).heads(0.0142))
                .isGreaterThan(wide.heads(0.0142));
    }

    @Test
    void everyTakeoffReachesEveryHoseOfTheCatalogue() {
        for (Takeoff t : PARTS.takeoffs()) {
            for (HoseType h : PARTS.hoses()) {
                if (h.dash().equals("-6")) {
                    continue;
                }
                End end = PARTS.endsFor(h).get(0).end();
                assertThat(FittingChain.find(ADAPTORS, t.port(), end, FittingChain.Wish.JOINTS, h.bore()))
                        .as("%s to %s", t.number(), h.number())
                        .isPresent();
            }
        }
    }
}
