package isotherm.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.Duty;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.exchanger.OilState;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.UpstreamCore;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A core behind a factory air cooler: what the first one takes the second does not get, and the oil pays both losses. */
class UpstreamCoreTest {
    private static final Car CAR = DemoCars.car();
    private static final Duty DUTY = DemoCars.session(6);
    private static final Design FACTORY = DemoCars.design(10, Place.GRILLE_AHEAD);
    private static final Design OWN = DemoCars.design(13, Place.FRONT_CORNER_VENTED);
    private static final Design BOTH =
            OWN.withCooler(OWN.cooler().map(c -> c.behind(FACTORY.cooler().orElseThrow())));

    private static Session run(Design d) {
        return Simulator.run(CAR, DUTY, d);
    }

    @Test
    void twoCoolMoreThanEitherAndLessThanTheSumOfBoth() {
        Session none = run(Design.NO_COOLER);
        Session first = run(FACTORY);
        Session second = run(OWN);
        Session both = run(BOTH);
        assertThat(both.plateau()).isLessThan(Math.min(first.plateau(), second.plateau()) - 1);
        double sum = none.plateau() - (none.plateau() - first.plateau()) - (none.plateau() - second.plateau());
        assertThat(both.plateau()).isGreaterThan(sum);
    }

    @Test
    void theEnergyBalanceClosesWithBoth() {
        assertThat(run(BOTH).balance().error()).isCloseTo(0, within(1e-3));
        assertThat(run(BOTH).balance().cooler())
                .isGreaterThan(run(OWN).balance().cooler());
    }

    @Test
    void aCoreWithoutAirUpstreamCoolsNothingAndStillCostsPressure() {
        Design.Cooler own = OWN.cooler().orElseThrow();
        UpstreamCore shut = new UpstreamCore(
                FACTORY.cooler().orElseThrow().core(),
                FACTORY.cooler().orElseThrow().airway().withShade(1),
                own.loop().feed(),
                0.8);
        Design blocked = OWN.withCooler(Optional.of(new Design.Cooler(
                own.core(), own.airway(), own.loop().withUpstream(Optional.of(shut)), own.efficacy())));
        assertThat(run(blocked).plateau()).isCloseTo(run(OWN).plateau(), within(1.0));
        assertThat(PressureCheck.loopLoss(CAR, blocked, Units.kelvin(110)))
                .isGreaterThan(PressureCheck.loopLoss(CAR, OWN, Units.kelvin(110)));
    }

    @Test
    void theLossOfTheLoopIsTheSumOfItsParts() {
        CoolerLoop loop = BOTH.cooler().orElseThrow().loop();
        CoreModel core = new CoreModel(BOTH.cooler().orElseThrow().core());
        var oil = CoolerLoop.LoopOil.even(OilState.of(CAR.oil(), Units.kelvin(100)));
        double parts = loop.losses(core, 0.4, oil).stream()
                .mapToDouble(CoolerLoop.Loss::pascal)
                .sum();
        assertThat(loop.pressureDrop(core, 0.4, oil)).isCloseTo(parts, within(1e-6 * parts));
        assertThat(loop.losses(core, 0.4, oil))
                .extracting(CoolerLoop.Loss::what)
                .containsExactly("plate", "upstream core", "feed hose", "core", "return hose");
        CoolerLoop alone = loop.withUpstream(Optional.empty());
        UpstreamCore first = loop.upstream().orElseThrow();
        assertThat(loop.volume(core) - alone.volume(core))
                .isCloseTo(first.core().holdUp() + first.feed().volume(), within(1e-12));
    }

    @Test
    void theOilComesToTheSecondCoreAsTheFirstLeavesIt() {
        Session s = run(BOTH);
        OperatingPoint both = OperatingPoint.underLoad(CAR, DUTY.weather(), BOTH, s);
        Design alone = BOTH.withCooler(BOTH.cooler()
                .map(c -> new Design.Cooler(
                        c.core(), c.airway(), c.loop().withUpstream(Optional.empty()), c.efficacy())));
        OperatingPoint without = OperatingPoint.underLoad(CAR, DUTY.weather(), alone, s);
        assertThat(both.core().orElseThrow().rating().heat())
                .isLessThan(without.core().orElseThrow().rating().heat());
        assertThat(both.core().orElseThrow().rating().oilOutK())
                .isLessThan(without.core().orElseThrow().rating().oilOutK());
    }
}
