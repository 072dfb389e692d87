package isotherm.core.catalogue;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.exchanger.Construction;
import isotherm.core.parts.Adaptor;
import isotherm.core.parts.End;
import isotherm.core.parts.HoseEnd;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Joint;
import isotherm.core.parts.Parts;
import isotherm.core.parts.Takeoff;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The shipped catalogue: each part is sound by itself, and together they make whole lines. */
class CatalogueTest {
    private static final Parts PARTS = PlumbingParts.shipped();
    private static final List<CorePart> CORES = CorePart.shipped();

    static List<CorePart> cores() {
        return CORES;
    }

    static List<HoseType> hoses() {
        return PARTS.hoses();
    }

    @Test
    void numbersAreGivenOnceByAMaker() {
        assertThat(CORES.stream().map(c -> c.maker() + " " + c.number())).doesNotHaveDuplicates();
        assertThat(Stream.of(
                                PARTS.takeoffs().stream().map(t -> t.maker() + " " + t.number()),
                                PARTS.adaptors().stream().map(a -> a.maker() + " " + a.number()),
                                PARTS.hoses().stream().map(h -> h.maker() + " " + h.number()),
                                PARTS.ends().stream().map(e -> e.maker() + " " + e.number()))
                        .flatMap(s -> s))
                .doesNotHaveDuplicates();
    }

    @ParameterizedTest
    @MethodSource("cores")
    void everyCoreHasSizeMassAndPrice(CorePart part) {
        assertThat(part.price()).isPositive();
        assertThat(part.core().height()).isBetween(0.03, 0.9);
        assertThat(part.core().outsideWidth()).isGreaterThan(part.core().width());
        assertThat(part.core().faceArea()).isPositive();
        assertThat(part.core().holdUp()).isBetween(0.02e-3, 6e-3);
    }

    @ParameterizedTest
    @MethodSource("cores")
    void aCoreFitsItsOwnSizeAndNoMillimetreLess(CorePart part) {
        double width = part.core().outsideWidth();
        double height = part.core().height();
        assertThat(part.fits(width, height)).isTrue();
        assertThat(part.fits(width - 1e-3, height)).isFalse();
        assertThat(part.fits(width, height - 1e-3)).isFalse();
    }

    @Test
    void moreRowsOfTheSameMakeCostMore() {
        // A combined radiator is made for its car and not sold by the row.
        for (Construction make : EnumSet.complementOf(EnumSet.of(Construction.COMBINED_RADIATOR))) {
            List<CorePart> same = CORES.stream()
                    .filter(c -> c.core().construction() == make)
                    .filter(c -> Math.abs(c.core().width() - 0.28) < 1e-9)
                    .sorted(Comparator.comparingInt(c -> c.core().rows()))
                    .toList();
            assertThat(same).hasSizeGreaterThan(2);
            assertThat(same).isSortedAccordingTo(Comparator.comparingDouble(CorePart::price));
            assertThat(same).isSortedAccordingTo(Comparator.comparingDouble(c -> c.core()
                    .holdUp()));
        }
    }

    @Test
    void everyMakeIsThereInEveryCommonSize() {
        for (int rows : CorePart.ROWS) {
            assertThat(CORES.stream().filter(c -> c.core().rows() == rows).map(c -> c.core()
                            .construction()))
                    .contains(Construction.STACKED_PLATE, Construction.BAR_AND_PLATE);
        }
        assertThat(CORES).anyMatch(c -> c.core().construction() == Construction.TUBE_AND_FIN);
    }

    @ParameterizedTest
    @MethodSource("hoses")
    void everyHoseHasABoreABendAndAClass(HoseType hose) {
        assertThat(hose.bore()).isBetween(6e-3, 25e-3);
        assertThat(hose.outside()).isGreaterThan(hose.bore() + 2e-3);
        assertThat(hose.bendRadius()).isGreaterThan(hose.outside());
        assertThat(hose.pricePerMetre()).isPositive();
    }

    @Test
    void widerHoseOfAFamilyBendsLessAndCostsMore() {
        for (HoseType.Family family : HoseType.Family.values()) {
            List<HoseType> same = PARTS.hoses().stream()
                    .filter(h -> h.family() == family)
                    .sorted(Comparator.comparingDouble(HoseType::bore))
                    .toList();
            assertThat(same).isSortedAccordingTo(Comparator.comparingDouble(HoseType::bendRadius));
            assertThat(same).isSortedAccordingTo(Comparator.comparingDouble(HoseType::pricePerMetre));
        }
    }

    @Test
    void everyHoseHasEndsInSeveralAngles() {
        for (HoseType hose : PARTS.hoses()) {
            Set<Long> angles = PARTS.ends().stream()
                    .filter(e -> e.family() == hose.family() && e.dash().equals(hose.dash()))
                    .map(HoseEnd::angle)
                    .map(a -> Math.round(Math.toDegrees(a)))
                    .collect(Collectors.toSet());
            assertThat(angles).as(hose.number()).contains(0L, 45L, 90L);
        }
    }

    @Test
    void noAdaptorIsWiderInsideThanItsThreadsAllow() {
        for (Adaptor a : PARTS.adaptors()) {
            assertThat(a.bore()).as(a.number()).isBetween(4e-3, 20e-3);
            assertThat(a.price()).as(a.number()).isPositive();
            assertThat(a.length()).as(a.number()).isBetween(5e-3, 0.12);
        }
    }

    @Test
    void everyEndMatesWithItsCounterpartAndNothingElseOfItsKind() {
        Set<End> ends = PARTS.adaptors().stream()
                .flatMap(a -> Stream.of(a.first(), a.second()))
                .collect(Collectors.toSet());
        for (End a : ends) {
            assertThat(a.counterpart().counterpart()).isEqualTo(a);
            assertThat(a.mates(a.counterpart())).as(a.toString()).isTrue();
            for (End b : ends) {
                assertThat(a.mates(b)).as(a + " with " + b).isEqualTo(b.mates(a));
                if (a.joint() != b.joint() || !a.size().equals(b.size())) {
                    assertThat(a.mates(b)).as(a + " with " + b).isFalse();
                }
            }
        }
    }

    @Test
    void everyKindOfTakeoffAndOfJointIsThere() {
        assertThat(PARTS.takeoffs().stream().map(Takeoff::kind).distinct())
                .containsExactlyInAnyOrder(Takeoff.Kind.values());
        Set<Joint> joints = PARTS.adaptors().stream()
                .flatMap(a -> Stream.of(a.first().joint(), a.second().joint()))
                .collect(Collectors.toSet());
        assertThat(joints).contains(Joint.FLARE_37, Joint.O_RING_BOSS, Joint.TAPER, Joint.BSPP, Joint.METRIC);
    }
}
