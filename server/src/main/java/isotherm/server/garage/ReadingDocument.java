package isotherm.server.garage;

import isotherm.core.airflow.MeasuredPressure;
import isotherm.core.duty.Weather;
import isotherm.core.fit.CorePressure;
import isotherm.core.fit.DashReading;
import isotherm.core.fit.Evidence;
import isotherm.core.fit.HeatRating;
import isotherm.core.fluid.Units;
import isotherm.server.contract.Checked;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.List;
import java.util.stream.Stream;

/**
 * Something that was read on a car by hand, with what was driven: it says something about the car as a log does. Exactly one of
 * the kinds is given.
 *
 * @param name what its people call it
 * @param day day on which it was read
 * @param dash the highest oil temperature that the dash has shown
 * @param pressure a pressure across the core on the road
 * @param makersHeat what a core's maker says that it gives off
 */
public record ReadingDocument(
        @Text(value = "what its people call it", min = 1, max = 120) String name,
        @Missing("not said") @Text(value = "day on which it was read, ISO 8601", min = 1, max = 40) String day,
        @Missing("another kind") @Text("the highest oil temperature that the dash has shown") Dash dash,
        @Missing("another kind") @Text("a pressure across the core on the road") Pressure pressure,
        @Missing("another kind") @Text("what a core's maker says that it gives off") MakersHeat makersHeat)
        implements Checked {

    /** The highest oil temperature that the dash has shown over a duty. */
    public record Dash(
            @Text("the design that was driven") DesignDocument design,
            @Text("what was driven, with the day's air") DutyDocument duty,
            @Quantity(value = "highest oil temperature shown", min = 20, max = 200, unit = "°C") double shownC,
            @Missing("3 °C") @Quantity(value = "how far it may be off", min = 0.5, max = 20, unit = "°C")
                    Double errorC) {}

    /** A pressure across the core on the road. */
    public record Pressure(
            @Text("the design that was driven") DesignDocument design,
            @Quantity(value = "pressure across the core", min = 1, max = 5000, unit = "Pa") double pa,
            @Quantity(value = "road speed at which it was read", min = 10, max = 350, unit = "km/h") double speedKmh,
            @Quantity(value = "air temperature", min = -40, max = 60, unit = "°C") double ambientC,
            @Quantity(value = "height above sea level", min = -430, max = 5000, unit = "m") double altitudeM) {}

    /** What a core's maker says that it gives off. */
    public record MakersHeat(
            @Text("a design with the core; only its core counts") DesignDocument design,
            @Text("the oil of the test") OilDocument oil,
            @Quantity(value = "oil flow", min = 1, max = 500, unit = "L/min") double oilFlowLPerMin,
            @Quantity(value = "oil inlet", min = 20, max = 180, unit = "°C") double oilInC,
            @Quantity(value = "air speed ahead of the face", min = 0.5, max = 60, unit = "m/s") double faceSpeedMPerS,
            @Quantity(value = "air inlet", min = -40, max = 120, unit = "°C") double airInC,
            @Quantity(value = "heat given off", min = 0.1, max = 200, unit = "kW") double heatKw) {}

    @Override
    public void check(String path, List<Problem> problems) {
        if (Stream.of(dash, pressure, makersHeat).filter(k -> k != null).count() != 1) {
            problems.add(Problem.of(path, null, "A reading is one of dash, pressure and makersHeat"));
            return;
        }
        Problem.day(path + "/day", day).ifPresent(problems::add);
        if (dash != null) {
            dash.design().check(path + "/dash/design", problems);
            dash.duty().check(path + "/dash/duty", problems);
            if (dash.duty().log() != null) {
                problems.add(
                        Problem.of(
                                path + "/dash/duty/log",
                                null,
                                "A log says more than a look at the dash: fit the log itself, or name the duty that was driven"));
            }
        } else {
            DesignDocument design = pressure != null ? pressure.design() : makersHeat.design();
            String at = path + (pressure != null ? "/pressure" : "/makersHeat");
            design.check(at + "/design", problems);
            if (design.cooler() == null) {
                problems.add(Problem.of(at + "/design/cooler", null, "A design with a cooler is needed here"));
            }
            if (makersHeat != null) {
                makersHeat.oil().check(at + "/oil", problems);
            }
        }
    }

    /**
     * @param car the car on which it was read
     * @return it as evidence for {@code core}
     */
    Evidence toCore(CarDocument car) {
        if (dash != null) {
            return new DashReading(
                    dash.design().toCore(car),
                    dash.duty().toCore(),
                    Units.kelvin(dash.shownC()),
                    dash.errorC() == null ? DashReading.ERROR : dash.errorC());
        }
        if (pressure != null) {
            return new CorePressure(
                    pressure.design().toCore(car),
                    new Weather(Units.kelvin(pressure.ambientC()), pressure.altitudeM()),
                    new MeasuredPressure(pressure.pa(), pressure.speedKmh() / 3.6));
        }
        return new HeatRating(
                CoolerMapper.cooler(makersHeat.design().cooler()).core(),
                makersHeat.oil().toCore(),
                makersHeat.oilFlowLPerMin() / 60e3,
                Units.kelvin(makersHeat.oilInC()),
                makersHeat.faceSpeedMPerS(),
                Units.kelvin(makersHeat.airInC()),
                makersHeat.heatKw() * 1e3);
    }
}
