package isotherm.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.catalogue.CorePart;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.Finish;
import isotherm.core.exchanger.Ports;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.Simulator;
import java.util.List;
import org.junit.jupiter.api.Test;

class TwoSchoolsTest {
    private static final Car CAR = DemoCars.car();
    private static final Design DESIGN = sealed(DemoCars.design(10, Place.FRONT_CORNER_VENTED));
    private static final List<CorePart> PARTS = CorePart.shipped();

    /** No doubt at all, so that a peak under the edge is as good as sure. */
    private static final Belief KNOWN = new Belief(List.of(), new double[0], new double[0][], 0);

    private static Design sealed(Design d) {
        return d.withAirway(d.cooler().orElseThrow().airway().withSealing(0.9).withShade(0.1));
    }

    private static TwoSchools schools(double width, double height) {
        return TwoSchools.of(CAR, DemoCars.session(8), KNOWN, DESIGN, PARTS, width, height);
    }

    @Test
    void theSmallestHoldsAndNoSmallerOneDoes() {
        TwoSchools s = schools(0.5, 0.4);
        DesignSearch.Candidate smallest = s.smallest().orElseThrow();
        assertThat(smallest.peak()).isLessThanOrEqualTo(CAR.limits().targetHighK());
        for (CorePart p : PARTS) {
            if (p.core().faceArea() < smallest.part().core().faceArea() - 1e-9) {
                double peak = Simulator.run(CAR, DemoCars.session(8), DESIGN.withCore(p.core()))
                        .peak();
                assertThat(peak).as(p.number()).isGreaterThan(CAR.limits().targetHighK());
            }
        }
    }

    @Test
    void theLargestFitsAndNoLargerOneDoes() {
        TwoSchools s = schools(0.36, 0.2);
        Core largest = s.largest().orElseThrow().part().core();
        assertThat(largest.outsideWidth()).isLessThanOrEqualTo(0.36);
        assertThat(largest.height()).isLessThanOrEqualTo(0.2);
        assertThat(PARTS.stream().filter(p -> p.fits(0.36, 0.2)))
                .allSatisfy(p -> assertThat(p.core().faceArea()).isLessThanOrEqualTo(largest.faceArea() + 1e-12));
    }

    @Test
    void everythingElseStaysAsItIs() {
        Core own = DESIGN.cooler().orElseThrow().core();
        Core painted = new Core(
                own.construction(),
                own.rows(),
                own.width(),
                own.depth(),
                own.passes(),
                Finish.POWDER_COAT,
                Ports.SIDE,
                own.detail());
        TwoSchools s = TwoSchools.of(CAR, DemoCars.session(4), KNOWN, DESIGN.withCore(painted), PARTS, 0.5, 0.4);
        Design.Cooler taken = s.largest().orElseThrow().design().cooler().orElseThrow();
        assertThat(taken.core().finish()).isEqualTo(Finish.POWDER_COAT);
        assertThat(taken.core().ports()).isEqualTo(Ports.SIDE);
        assertThat(taken.airway()).isEqualTo(DESIGN.cooler().orElseThrow().airway());
        assertThat(taken.loop()).isEqualTo(DESIGN.cooler().orElseThrow().loop());
    }

    @Test
    void whereNothingFitsNothingIsOffered() {
        TwoSchools s = schools(0.1, 0.05);
        assertThat(s.smallest()).isEmpty();
        assertThat(s.largest()).isEmpty();
        assertThat(s.present().price()).isNaN();
        assertThat(s.present().peak())
                .isEqualTo(Simulator.run(CAR, DemoCars.session(8), DESIGN).peak());
    }
}
