package isotherm.server.document;

import isotherm.core.duty.ClimbDuty;
import isotherm.core.duty.CruiseDuty;
import isotherm.core.duty.Duty;
import isotherm.core.duty.TrackDuty;
import isotherm.core.duty.Weather;
import isotherm.core.fluid.Units;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;

/**
 * What the car has to do. Exactly one of track, climb and cruise is given.
 *
 * @param name what its people call it
 * @param ambientC air temperature
 * @param altitudeM mean height above sea level
 * @param track laps of a circuit
 * @param climb a climb, with or without a trailer
 * @param cruise steady driving
 */
public record DutyDocument(
        @Text(value = "what its people call it", min = 1, max = 120) String name,
        @Quantity(value = "air temperature", min = -40, max = 55, unit = "°C") double ambientC,
        @Quantity(value = "mean height above sea level", min = -430, max = 5000, unit = "m") double altitudeM,
        @Missing("not a track duty") @Text("laps of a circuit") TrackDocument track,
        @Missing("not a climb") @Text("a climb, with or without a trailer") ClimbDocument climb,
        @Missing("not a cruise") @Text("steady driving") CruiseDocument cruise)
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
            @Quantity(value = "length of the climb", min = 50, max = 100000, unit = "m") double lengthM,
            @Quantity(value = "rise over run", min = 0, max = 35, unit = "%") double gradePercent,
            @Quantity(value = "speed the driver wants to hold", min = 5, max = 250, unit = "km/h") double speedKmh,
            @Quantity(value = "trailer mass, 0 without one", min = 0, max = 40000, unit = "kg") double trailerKg,
            @Quantity(value = "drag area that the trailer adds", min = 0, max = 12, unit = "m²")
                    double trailerDragAreaM2,
            @Quantity(value = "level road before the climb", min = 0, max = 7200, unit = "s") double approachSeconds) {}

    /** Steady driving. */
    public record CruiseDocument(
            @Quantity(value = "road speed", min = 5, max = 350, unit = "km/h") double speedKmh,
            @Quantity(value = "duration", min = 60, max = 21600, unit = "s") double durationSeconds) {}

    @Override
    public void check(String path, List<Problem> problems) {
        long given = Stream.of(track, climb, cruise).filter(Objects::nonNull).count();
        if (given != 1) {
            problems.add(Problem.of(
                    path, null, "Exactly one of track, climb and cruise is expected here; " + given + " are given"));
            return;
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
                    climb.lengthM(),
                    climb.gradePercent() / 100,
                    climb.speedKmh() / 3.6,
                    climb.trailerKg(),
                    climb.trailerDragAreaM2(),
                    climb.approachSeconds(),
                    weather);
        }
        return new CruiseDuty(cruise.speedKmh() / 3.6, cruise.durationSeconds(), weather);
    }
}
