package isotherm.core.whatif;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.catalogue.CorePart;
import isotherm.core.catalogue.PlumbingParts;
import isotherm.core.duty.Duty;
import isotherm.core.exchanger.Construction;
import isotherm.core.exchanger.Core;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.PressureCheck;
import isotherm.core.simulate.Simulator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** One step of each choice. */
class WhatIfTest {
    private static final Car CAR = DemoCars.car();
    private static final Duty TRACK = DemoCars.session(6);
    private static final Design DESIGN = DemoCars.design(13, Place.LOWER_GRILLE_AHEAD);
    private static final Prices PRICES =
            new Prices(CorePart.shipped(), PlumbingParts.shipped().hoses());

    private static WhatIf.Answer asked(Design design, double odds) {
        return WhatIf.of(CAR, TRACK, design, odds, PRICES);
    }

    private static Map<Lever, WhatIf.Change> byLever(WhatIf.Answer answer) {
        return answer.changes().stream().collect(Collectors.toMap(c -> c.step().lever(), Function.identity()));
    }

    @Test
    void whatAStepBringsIsWhatItsDesignRuns() {
        WhatIf.Answer answer = asked(DESIGN, 0.2);
        assertThat(answer.now().peakK())
                .isCloseTo(Simulator.run(CAR, TRACK, DESIGN).peak(), within(1e-9));
        assertThat(answer.changes()).hasSize(WhatIf.STRONGEST).allSatisfy(c -> assertThat(
                        c.after().peakK())
                .isCloseTo(Simulator.run(CAR, TRACK, c.step().design()).peak(), within(1e-9)));
    }

    /** A step may bring another point nearest to its floor: pressures of two points are not to be compared. */
    @Test
    void allPressuresAreLookedAtWhereTheDesignIsNearestToItsFloor() {
        WhatIf.Answer answer = asked(DESIGN, 0.2);
        PressureCheck now = PressureCheck.of(CAR, DESIGN, answer.now().peakK());
        assertThat(now.points()).allSatisfy(p -> assertThat(p.gallery() / p.floor())
                .isGreaterThanOrEqualTo(
                        now.at(answer.at()).gallery() / now.at(answer.at()).floor()));
        assertThat(answer.changes()).allSatisfy(c -> assertThat(c.after().galleryPa())
                .isEqualTo(PressureCheck.of(CAR, c.step().design(), c.after().peakK())
                        .at(answer.at())
                        .gallery()));
    }

    @Test
    void theStrongestComesFirst() {
        double now = asked(DESIGN, 0.2).now().peakK();
        assertThat(asked(DESIGN, 0.2).changes())
                .isSortedAccordingTo((a, b) -> Double.compare(
                        Math.abs(b.after().peakK() - now), Math.abs(a.after().peakK() - now)));
    }

    @Test
    void aDesignThatIsNotSureIsMovedTowardsTheCold() {
        WhatIf.Answer answer = asked(DESIGN, 0.2);
        assertThat(answer.changes()).allSatisfy(c -> assertThat(c.after().peakK())
                .isLessThanOrEqualTo(answer.now().peakK() + 1e-9));
        WhatIf.Change rows = byLever(answer).get(Lever.ROWS);
        assertThat(rows.step().design().cooler().orElseThrow().core().rows()).isEqualTo(16);
        assertThat(rows.after().price().orElseThrow())
                .isGreaterThan(answer.now().price().orElseThrow());
    }

    @Test
    void aDesignThatIsSureIsMovedTowardsLess() {
        WhatIf.Answer answer = asked(DESIGN, 0.95);
        WhatIf.Change rows = byLever(answer).get(Lever.ROWS);
        assertThat(rows.step().design().cooler().orElseThrow().core().rows()).isEqualTo(10);
        assertThat(rows.after().price().orElseThrow())
                .isLessThan(answer.now().price().orElseThrow());
        assertThat(rows.after().peakK()).isGreaterThan(answer.now().peakK());
    }

    @Test
    void withoutACoolerOnlyTheOilCanBeChosen() {
        WhatIf.Answer answer = asked(Design.NO_COOLER, 0.1);
        assertThat(answer.changes()).extracting(c -> c.step().lever()).containsExactly(Lever.OIL);
        assertThat(answer.now().price()).isEmpty();
    }

    /** Back and forth ends where it began: a step can be taken back by the one the other way. */
    @Test
    void stepsOfOneLeverLeadBack() {
        for (Lever lever : List.of(Lever.ROWS, Lever.SEALING, Lever.SHADE, Lever.THERMOSTAT, Lever.HOSE, Lever.FAN)) {
            for (LeverStep there : LeverSteps.of(CAR, DESIGN, lever)) {
                assertThat(LeverSteps.of(CAR, there.design(), lever))
                        .as(lever.name())
                        .anySatisfy(back -> assertThat(
                                        Simulator.run(CAR, TRACK, back.design()).peak())
                                .isCloseTo(Simulator.run(CAR, TRACK, DESIGN).peak(), within(1e-6)));
            }
        }
    }

    @Test
    void noStepLeavesWhatCanBe() {
        Design far = DemoCars.design(CorePart.ROWS[CorePart.ROWS.length - 1], Place.UNDER_FLOOR);
        far = far.withAirway(
                far.cooler().orElseThrow().airway().withSealing(0.95).withShade(0));
        assertThat(LeverSteps.of(CAR, far, Lever.ROWS)).hasSize(1);
        assertThat(LeverSteps.of(CAR, far, Lever.SEALING)).hasSize(1);
        assertThat(LeverSteps.of(CAR, far, Lever.SHADE)).hasSize(1);
        assertThat(LeverSteps.of(CAR, far, Lever.PLACE)).hasSize(Place.values().length - 1);
    }

    @Test
    void aFirstThermostatIsAStepToo() {
        Design open = DESIGN.withThermostat(Optional.empty());
        assertThat(LeverSteps.of(CAR, open, Lever.THERMOSTAT)).hasSize(1);
        WhatIf.Answer now = asked(open, 0.2);
        WhatIf.Answer with =
                asked(LeverSteps.of(CAR, open, Lever.THERMOSTAT).get(0).design(), 0.2);
        assertThat(with.now().warmSeconds().orElse(1e9))
                .isLessThan(now.now().warmSeconds().orElse(1e9));
    }

    @Test
    void aCoreBetweenTwoThatAreSoldCostsBetweenThem() {
        double ten = price(Core.stackedPlate(10, 0.28, 0.05));
        double thirteen = price(Core.stackedPlate(13, 0.28, 0.05));
        assertThat(price(Core.stackedPlate(11, 0.28, 0.05))).isStrictlyBetween(ten, thirteen);
        CorePart sold = CorePart.shipped().get(0);
        assertThat(price(sold.core()) - hoses()).isCloseTo(sold.price(), within(1e-6));
        assertThat(new Prices(List.of(), PRICES.hoses()).of(DESIGN)).isEmpty();
        assertThat(Core.of(Construction.BAR_AND_PLATE, 10, 0.28, 0.05))
                .satisfies(bar -> assertThat(price(bar)).isGreaterThan(ten));
    }

    private static double price(Core core) {
        return PRICES.of(DESIGN.withCore(core)).orElseThrow();
    }

    private static double hoses() {
        return 2
                * 1.2
                * PRICES.hoses().stream()
                        .filter(h -> Math.abs(h.bore() - 14.2e-3) < 1e-6)
                        .mapToDouble(h -> h.pricePerMetre())
                        .min()
                        .orElseThrow();
    }
}
