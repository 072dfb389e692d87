package isotherm.server.garage;

import isotherm.core.duty.ClimbDuty;
import isotherm.core.duty.CruiseDuty;
import isotherm.core.duty.Duty;
import isotherm.core.duty.LogDuty;
import isotherm.core.duty.SoakDuty;
import isotherm.core.duty.TrackDuty;
import isotherm.core.duty.Trailer;
import isotherm.core.duty.Use;
import isotherm.core.duty.Weather;
import isotherm.core.fluid.Units;
import isotherm.server.contract.Checked;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;

/**
 * What the car has to do. Exactly one of track, climb, cruise, soak and log is given.
 *
 * @param name what its people call it
 * @param ambientC air temperature
 * @param altitudeM mean height above sea level
 * @param track laps of a circuit
 * @param climb a climb, with or without a trailer
 * @param cruise steady driving
 * @param soak a stop after hard driving
 * @param log what was driven, from a log
 */
public record DutyDocument(
        @Text(value = "what its people call it", min = 1, max = 120) String name,
        @Quantity(value = "air temperature", min = -40, max = 55, unit = "°C") double ambientC,
        @Quantity(value = "mean height above sea level", min = -430, max = 5000, unit = "m") double altitudeM,
        @Missing("not a track duty") @Text("laps of a circuit") TrackDocument track,
        @Missing("not a climb") @Text("a climb, with or without a trailer") ClimbDocument climb,
        @Missing("not a cruise") @Text("steady driving, warm or as a warm-up") CruiseDocument cruise,
        @Missing("not a stop") @Text("a stop after hard driving") SoakDocument soak,
        @Missing("not from a log") @Text("what was driven, from a log") DrivenDocument log)
        implements Checked {
    private static final double LONGEST_SESSION = 6 * 3600;

    /** Laps of a circuit. */
    public record TrackDocument(
            @Text(value = "the lap at full pace, stretch by stretch", min = 1, max = 200)
                    List<StretchDocument> stretches,
            @Quantity(value = "easy laps first", min = 0, max = 20) int outLaps,
            @Quantity(value = "laps at full pace", min = 0, max = 200) int flyers,
            @Quantity(value = "laps driven to cool the car", min = 0, max = 20) int coolDownLaps,
            @Quantity(value = "standing at idle after the stint", min = 0, max = 7200, unit = "s") double pitSeconds,
            @Quantity(value = "how often that is repeated", min = 1, max = 20) int stints) {}

    /** A part of a lap with even acceleration. */
    public record StretchDocument(
            @Quantity(value = "length", min = 1, max = 20000, unit = "m") double lengthM,
            @Quantity(value = "speed at its start", min = 5, max = 450, unit = "km/h") double entryKmh,
            @Quantity(value = "speed at its end", min = 5, max = 450, unit = "km/h") double exitKmh) {}

    /** A climb. */
    public record ClimbDocument(
            @Text(value = "the road from the foot to the top", min = 1, max = 500) List<SlopeDocument> slopes,
            @Quantity(value = "speed the driver wants to hold", min = 5, max = 250, unit = "km/h") double speedKmh,
            @Quantity(value = "trailer mass, 0 without one", min = 0, max = 40000, unit = "kg") double trailerKg,
            @Quantity(value = "drag area that the trailer adds", min = 0, max = 12, unit = "m²")
                    double trailerDragAreaM2,
            @Quantity(value = "level road before the climb", min = 0, max = 7200, unit = "s") double approachSeconds) {}

    /** A stretch of even gradient. */
    public record SlopeDocument(
            @Quantity(value = "length", min = 10, max = 100000, unit = "m") double lengthM,
            @Quantity(value = "rise over run, negative downhill", min = -25, max = 35, unit = "%")
                    double gradePercent) {}

    /** Steady driving. */
    public record CruiseDocument(
            @Quantity(value = "road speed", min = 5, max = 350, unit = "km/h") double speedKmh,
            @Quantity(value = "duration", min = 60, max = 21600, unit = "s") double durationSeconds,
            @Missing("false") @Text("whether it starts as cold as the air: a warm-up") Boolean coldStart) {}

    /** A stop after hard driving. */
    public record SoakDocument(
            @Quantity(value = "standing with the engine at idle", min = 0, max = 7200, unit = "s") double idleSeconds,
            @Quantity(value = "standing with the engine off", min = 0, max = 21600, unit = "s") double offSeconds,
            @Quantity(value = "oil temperature at the stop", min = -40, max = 180, unit = "°C") double oilC,
            @Quantity(value = "coolant temperature at the stop", min = -40, max = 130, unit = "°C") double coolantC) {}

    /** What was driven, from a log. */
    public record DrivenDocument(
            @Quantity(value = "time of each row, rising", min = -86400, max = 1e7, unit = "s")
                    @Text(value = "times", min = 2, max = 200000)
                    List<Double> timeSeconds,
            @Quantity(value = "road speed", min = 0, max = 450, unit = "km/h")
                    @Text(value = "speeds", min = 2, max = 200000)
                    List<Double> speedKmh,
            @Missing("from the gearing")
                    @Quantity(value = "engine speed", min = 0, max = 20000, unit = "rpm")
                    @Text(value = "engine speeds", min = 2, max = 200000)
                    List<Double> rpm,
            @Missing("from the speed and road load")
                    @Quantity(value = "brake power", min = 0, max = 1500, unit = "kW")
                    @Text(value = "brake powers", min = 2, max = 200000)
                    List<Double> brakePowerKw,
            @Missing("a level road")
                    @Quantity(value = "height above sea level", min = -430, max = 6000, unit = "m")
                    @Text(value = "heights", min = 2, max = 200000)
                    List<Double> elevationM,
            @Missing("laps are not known")
                    @Quantity(value = "times at which laps begin", min = -86400, max = 1e7, unit = "s")
                    @Text(value = "lap starts", max = 1000)
                    List<Double> lapStartSeconds,
            @Missing("0") @Quantity(value = "trailer mass", min = 0, max = 40000, unit = "kg") Double trailerKg,
            @Missing("0") @Quantity(value = "drag area that the trailer adds", min = 0, max = 12, unit = "m²")
                    Double trailerDragAreaM2,
            @Quantity(value = "oil temperature at the first row", min = -40, max = 180, unit = "°C") double startOilC,
            @Quantity(value = "coolant temperature at the first row", min = -40, max = 130, unit = "°C")
                    double startCoolantC) {}

    @Override
    public void check(String path, List<Problem> problems) {
        long given = Stream.of(track, climb, cruise, soak, log)
                .filter(Objects::nonNull)
                .count();
        if (given != 1) {
            problems.add(Problem.of(
                    path,
                    null,
                    "Exactly one of track, climb, cruise, soak and log is expected here; " + given + " are given"));
            return;
        }
        if (soak != null && soak.idleSeconds() + soak.offSeconds() < 1) {
            problems.add(Problem.of(path + "/soak/offSeconds", "0", "A stop needs some seconds at idle or off"));
        }
        if (log != null) {
            checkLog(path + "/log", problems);
        }
        if (climb != null) {
            double seconds = climb.approachSeconds()
                    + climb.slopes().stream()
                                    .mapToDouble(SlopeDocument::lengthM)
                                    .sum()
                            / (climb.speedKmh() / 3.6);
            if (seconds > LONGEST_SESSION) {
                problems.add(Problem.of(
                        path + "/climb/slopes",
                        null,
                        "This climb would last " + Math.round(seconds / 60) + " minutes; at most "
                                + Math.round(LONGEST_SESSION / 60) + " are allowed"));
            }
        }
        if (track != null) {
            if (track.outLaps() + track.flyers() + track.coolDownLaps() == 0) {
                problems.add(Problem.of(path + "/track/flyers", "0", "A session needs at least one lap"));
            }
            List<StretchDocument> s = track.stretches();
            double seconds = 0;
            for (int i = 0; i < s.size(); i++) {
                StretchDocument next = s.get((i + 1) % s.size());
                seconds += 7.2
                        * s.get(i).lengthM()
                        / (s.get(i).entryKmh() + s.get(i).exitKmh());
                if (Math.abs(next.entryKmh() - s.get(i).exitKmh()) > 0.5) {
                    problems.add(Problem.of(
                            path + "/track/stretches/" + i + "/exitKmh",
                            DocumentReader.number(s.get(i).exitKmh()),
                            "The speed here has to be that at the start of the next stretch, "
                                    + DocumentReader.number(next.entryKmh()) + " km/h"));
                }
            }
            double all = track.stints()
                    * (track.pitSeconds()
                            + seconds
                                    * (track.outLaps() / TrackDuty.OUT_LAP_PACE
                                            + track.flyers()
                                            + track.coolDownLaps() / TrackDuty.COOL_DOWN_PACE));
            if (all > LONGEST_SESSION) {
                problems.add(Problem.of(
                        path + "/track/flyers",
                        String.valueOf(track.flyers()),
                        "This session would last " + Math.round(all / 60) + " minutes; at most "
                                + Math.round(LONGEST_SESSION / 60) + " are allowed"));
            }
        }
    }

    private void checkLog(String path, List<Problem> problems) {
        int rows = log.timeSeconds().size();
        column(path + "/speedKmh", log.speedKmh(), rows, problems);
        column(path + "/rpm", log.rpm(), rows, problems);
        column(path + "/brakePowerKw", log.brakePowerKw(), rows, problems);
        column(path + "/elevationM", log.elevationM(), rows, problems);
        for (int i = 1; i < rows; i++) {
            if (log.timeSeconds().get(i) <= log.timeSeconds().get(i - 1)) {
                problems.add(Problem.of(
                        path + "/timeSeconds/" + i,
                        DocumentReader.number(log.timeSeconds().get(i)),
                        "Times have to rise from row to row"));
                break;
            }
        }
        double span = log.timeSeconds().get(rows - 1) - log.timeSeconds().get(0);
        if (span < 10 || span > LONGEST_SESSION) {
            problems.add(new Problem(
                    path + "/timeSeconds",
                    null,
                    "The log lasts " + Math.round(span) + " s; 10 to " + Math.round(LONGEST_SESSION) + " s are allowed",
                    10.0,
                    LONGEST_SESSION,
                    "s"));
        }
    }

    private static void column(String path, List<Double> column, int rows, List<Problem> problems) {
        if (column != null && column.size() != rows) {
            problems.add(Problem.of(path, null, "This column has " + column.size() + " rows, the times have " + rows));
        }
    }

    /** @return what a car with such a duty is mainly used for */
    public Use use() {
        if (climb != null) {
            return climb.trailerKg() > 0 ? Use.TOW : Use.MOUNTAIN;
        }
        return track != null ? Use.TRACK : Use.ROAD;
    }

    /**
     * @param airC air temperature, °C
     * @return the same duty in that air
     */
    public DutyDocument withAir(double airC) {
        return new DutyDocument(name, airC, altitudeM, track, climb, cruise, soak, log);
    }

    /** @return rows of the log that it was driven from; 0 without one */
    public int logRows() {
        return log == null ? 0 : log.timeSeconds().size();
    }

    /**
     * @param newName what its people call it
     * @return the same duty by that name
     */
    public DutyDocument named(String newName) {
        return new DutyDocument(newName, ambientC, altitudeM, track, climb, cruise, soak, log);
    }

    private static double[] values(List<Double> column, double factor) {
        return column == null
                ? new double[0]
                : column.stream().mapToDouble(v -> v * factor).toArray();
    }

    /** @return what was driven, for {@code core}; only for a duty from a log */
    public LogDuty toLog() {
        return new LogDuty(
                values(log.timeSeconds(), 1),
                values(log.speedKmh(), 1 / 3.6),
                values(log.rpm(), 1),
                values(log.brakePowerKw(), 1e3),
                values(log.elevationM(), 1),
                values(log.lapStartSeconds(), 1),
                new Trailer(
                        log.trailerKg() == null ? 0 : log.trailerKg(),
                        log.trailerDragAreaM2() == null ? 0 : log.trailerDragAreaM2()),
                new Duty.Start(Units.kelvin(log.startOilC()), Units.kelvin(log.startCoolantC())),
                new Weather(Units.kelvin(ambientC), altitudeM));
    }

    /** @return the duty for {@code core} */
    public Duty toCore() {
        Weather weather = new Weather(Units.kelvin(ambientC), altitudeM);
        if (track != null) {
            return new TrackDuty(
                    track.stretches().stream()
                            .map(s -> new TrackDuty.Stretch(s.lengthM(), s.entryKmh() / 3.6, s.exitKmh() / 3.6))
                            .toList(),
                    new TrackDuty.Plan(
                            track.outLaps(), track.flyers(), track.coolDownLaps(), track.pitSeconds(), track.stints()),
                    weather);
        }
        if (climb != null) {
            return new ClimbDuty(
                    climb.slopes().stream()
                            .map(slope -> new ClimbDuty.Slope(slope.lengthM(), slope.gradePercent() / 100))
                            .toList(),
                    climb.speedKmh() / 3.6,
                    new Trailer(climb.trailerKg(), climb.trailerDragAreaM2()),
                    climb.approachSeconds(),
                    weather);
        }
        if (soak != null) {
            return new SoakDuty(
                    soak.idleSeconds(),
                    soak.offSeconds(),
                    new Duty.Start(Units.kelvin(soak.oilC()), Units.kelvin(soak.coolantC())),
                    weather);
        }
        if (log != null) {
            return toLog();
        }
        return new CruiseDuty(
                cruise.speedKmh() / 3.6,
                cruise.durationSeconds(),
                cruise.coldStart() != null && cruise.coldStart(),
                weather);
    }
}
