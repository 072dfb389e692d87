package isotherm.core.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.CruiseDuty;
import isotherm.core.duty.Duty;
import isotherm.core.duty.Weather;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import isotherm.core.heat.HeatSchool;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.message.Value;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.Simulator;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

class VerdictTest {
    private static final Car CAR = DemoCars.car();
    private static final Duty TRACK = DemoCars.session(12);
    private static final Duty ROAD = new CruiseDuty(27, 1800, new Weather(Units.kelvin(20), 100));

    private static Verdict verdict(Car car, Duty duty, Design design) {
        return Verdict.of(Assessment.of(car, duty, design));
    }

    private static Design aired(int rows, UnaryOperator<Airway> change) {
        Design d = DemoCars.design(rows, Place.LOWER_GRILLE_AHEAD);
        return d.withAirway(change.apply(d.cooler().orElseThrow().airway()));
    }

    private static Car withTarget(Car c, double highK) {
        return with(c, c.oil(), new Car.Limits(highK - 20, highK, highK + 10));
    }

    private static Car with(Car c, Oil oil, Car.Limits limits) {
        return new Car(
                c.engine(),
                c.school(),
                oil,
                c.oilVolume(),
                c.vehicle(),
                c.pump(),
                c.gauge(),
                c.losses(),
                c.coolant(),
                c.factoryExchanger(),
                c.sensor(),
                limits,
                c.correction());
    }

    @Test
    void aRoadCarNeedsNoneWithOrWithoutOneFitted() {
        Verdict bare = verdict(CAR, ROAD, Design.NO_COOLER);
        assertThat(bare.kind()).isEqualTo(Verdict.Kind.NOT_NEEDED);
        assertThat(bare.why().figure("oddsWithout")).isBetween(0.8, 0.99);
        assertThat(bare.options()).isEmpty();
        assertThat(verdict(CAR, ROAD, DemoCars.design(13, Place.GRILLE_AHEAD)).kind())
                .isEqualTo(Verdict.Kind.NOT_NEEDED);
    }

    @Test
    void aHotCarWithoutACoolerNeedsOne() {
        Verdict v = verdict(CAR, TRACK, Design.NO_COOLER);
        assertThat(v.kind()).isEqualTo(Verdict.Kind.NEEDED);
        assertThat(v.what().values().get("cooled")).isEqualTo(new Value.Choice("no"));
        assertThat(v.why().figure("limit")).isEqualTo(Units.kelvin(130), within(1e-9));
    }

    @Test
    void aDesignThatHoldsCoversIt() {
        Verdict v = verdict(CAR, TRACK, DemoCars.design(30, Place.FRONT_CORNER_VENTED));
        assertThat(v.kind()).isEqualTo(Verdict.Kind.COVERED);
        assertThat(v.options()).isEmpty();
    }

    @Test
    void plannedPowerAloneCanAskForOne() {
        Duty mild = DemoCars.session(3);
        double bare = isotherm.core.simulate.Outlook.of(
                        CAR, mild, Design.NO_COOLER, isotherm.core.simulate.Belief.prior())
                .quantile(0.85);
        Car roomy = withTarget(CAR, bare);
        Assessment a = Assessment.of(
                roomy,
                mild,
                Design.NO_COOLER,
                OptionalDouble.of(2 * roomy.engine().power()));
        Verdict v = Verdict.of(a);
        assertThat(v.kind()).isEqualTo(Verdict.Kind.NEEDED_FOR_PLANNED);
        assertThat(v.why().figure("then")).isGreaterThan(v.why().figure("target"));
        assertThat(verdict(roomy, mild, Design.NO_COOLER).kind()).isEqualTo(Verdict.Kind.NOT_NEEDED);
    }

    @Test
    void whatIsCheaperThanAnotherCoreIsTriedFirstAndDoesWhatItSays() {
        // A core that would do, were it not shaded and open: find how much shade makes it fail.
        Design leaky = null;
        for (double shade = 0.2; shade < 0.75; shade += 0.05) {
            double s = shade;
            Design d = aired(30, a -> a.withSealing(0.6).withShade(s));
            if (Simulator.run(CAR, TRACK, d).peak() > CAR.limits().targetHighK() + 6) {
                leaky = d;
                break;
            }
        }
        Verdict v = verdict(CAR, TRACK, leaky);
        assertThat(v.kind()).isEqualTo(Verdict.Kind.TRY_FIRST);
        assertThat(v.options()).isNotEmpty();
        for (Remedy option : v.options()) {
            assertThat(Simulator.run(CAR, TRACK, option.design()).peak())
                    .as(option.label().key())
                    .isEqualTo(option.peakK())
                    .isLessThanOrEqualTo(CAR.limits().targetHighK());
        }
    }

    @Test
    void aLateThermostatIsTheFirstThingToChange() {
        Design late = DemoCars.design(34, Place.FRONT_CORNER_VENTED)
                .withThermostat(Optional.of(OilThermostat.opening(Units.kelvin(116))));
        assertThat(Simulator.run(CAR, TRACK, late).peak())
                .isGreaterThan(CAR.limits().targetHighK());
        Verdict v = verdict(CAR, TRACK, late);
        assertThat(v.kind()).isEqualTo(Verdict.Kind.TRY_FIRST);
        assertThat(v.options().get(0).label().key()).isEqualTo(Remedy.Kind.THERMOSTAT.key("label"));
        assertThat(v.options().get(0).label().figure("opens")).isEqualTo(Units.kelvin(95), within(1e-9));
    }

    @Test
    void anotherOilIsOfferedWhereOnlyTheFilmIsThin() {
        Oil thin = Oil.grade("0W-20").orElseThrow();
        Car tolerant = with(
                CAR.withSchool(new HeatSchool.ShareOfPower(0.06)),
                thin,
                new Car.Limits(Units.kelvin(90), Units.kelvin(110), Units.kelvin(175)));
        Verdict v = verdict(tolerant, TRACK, Design.NO_COOLER);
        assertThat(v.kind()).isEqualTo(Verdict.Kind.TRY_FIRST);
        assertThat(v.options())
                .anySatisfy(o -> assertThat(o.label().key()).isEqualTo(Remedy.Kind.ACCEPT_WITH_GRADE.key("label")));
    }

    @Test
    void aClosedArchIsVentedFirst() {
        Design closed = DemoCars.design(19, Place.FRONT_CORNER_CLOSED);
        Design vented = closed.withAirway(closed.cooler().orElseThrow().airway().withPlace(Place.FRONT_CORNER_VENTED));
        double shut = Simulator.run(CAR, TRACK, closed).peak();
        double open = Simulator.run(CAR, TRACK, vented).peak();
        assertThat(open).isLessThan(shut - 1);
        Car between = withTarget(CAR, (open + shut) / 2);
        assertThat(verdict(between, TRACK, closed).options()).anySatisfy(o -> {
            assertThat(o.label()).isEqualTo(Remedy.Kind.VENT_LINER.say("label"));
            assertThat(o.peakK()).isEqualTo(open);
        });
        // Where venting is not enough, it is not offered as though it were.
        assertThat(verdict(withTarget(CAR, open - 1), TRACK, closed).options())
                .extracting(Remedy::label)
                .doesNotContain(Remedy.Kind.VENT_LINER.say("label"));
    }
}
