package isotherm.core.findings;

import isotherm.core.car.Design;
import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The oil stays too cold on the road, and whether the cooler is to blame. */
final class TooCold implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        if (c.cooler().isEmpty()) {
            return List.of();
        }
        double road = c.assessment().roadOil();
        double[] bare = c.assessment().bareRoad().oil();
        double taken = bare[bare.length - 1] - road;
        boolean free = c.cooler().get().loop().thermostat().isEmpty();
        Optional<Remedy> thermostat = free ? Optional.of(thermostat(c, road)) : Optional.empty();
        List<Finding> said = new ArrayList<>();
        if (road < Thresholds.TOO_COLD_K) {
            boolean blamed = taken >= Thresholds.COLD_TAKEN;
            said.add(Topic.TOO_COLD
                    .of(
                            blamed ? Severity.RISK : Severity.NOTE,
                            Topic.TOO_COLD
                                    .say("what")
                                    .choose("blamed", blamed)
                                    .with("oil", Measure.TEMPERATURE, road)
                                    .with("bound", Measure.TEMPERATURE, Thresholds.TOO_COLD_K),
                            road(Topic.TOO_COLD.say("why").choose("blamed", blamed))
                                    .with("taken", Measure.TEMPERATURE_DIFFERENCE, taken)
                                    .with("bound", Measure.TEMPERATURE, Thresholds.TOO_COLD_K))
                    .mendedBy(blamed ? thermostat : Optional.empty()));
        }
        if (free) {
            double warm = c.assessment().road().timeTo(Thresholds.WARM_K);
            boolean ever = Double.isFinite(warm);
            said.add(Topic.NO_THERMOSTAT
                    .of(
                            Severity.NOTE,
                            Topic.NO_THERMOSTAT
                                    .say("what")
                                    .choose("warms", ever)
                                    .with("time", Measure.TIME, ever ? warm : 0)
                                    .with("warm", Measure.TEMPERATURE, Thresholds.WARM_K),
                            Topic.NO_THERMOSTAT.say("why"))
                    .mendedBy(thermostat));
        }
        return said;
    }

    private static Message road(Message m) {
        return m.with("speed", Measure.SPEED, Assessment.ROAD_SPEED)
                .with("ambient", Measure.TEMPERATURE, Assessment.ROAD_AMBIENT_K);
    }

    private static Remedy thermostat(Context c, double road) {
        OilThermostat fitted = Thresholds.thermostat(c.car().limits());
        Design next = c.design().withThermostat(Optional.of(fitted));
        double[] after = Assessment.road(c.car(), c.assessment().duty(), next).oil();
        return c.remedy(
                Remedy.Kind.THERMOSTAT.say("label").with("opens", Measure.TEMPERATURE, fitted.opensK()),
                next,
                Remedy.Effect.COLD_ROAD.of(Measure.TEMPERATURE, road, after[after.length - 1]));
    }
}
