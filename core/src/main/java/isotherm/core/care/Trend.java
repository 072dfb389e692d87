package isotherm.core.care;

import isotherm.core.fluid.Oil;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.message.MessageTopic;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * How a figure went over time, and what that says.
 *
 * @param figure which figure
 * @param points what was read, oldest first
 * @param perYear slope of the straight line through the points since the last change of the oil, SI units a year; empty with
 *     fewer than three
 * @param notes what it says
 */
public record Trend(CareFigure figure, List<Point> points, OptionalDouble perYear, List<Message> notes) {
    /** A line through fewer points says nothing. */
    private static final int FEWEST = 3;

    private static final double YEAR = Duration.ofDays(365).toSeconds();
    /** Fuel from which an oil film suffers noticeably (usual bound of laboratories; an estimate). */
    private static final double MUCH_FUEL = 0.04;
    /** Water that should not be there (usual bound of laboratories; an estimate). */
    private static final double MUCH_WATER = 0.002;

    /** Defensive copies. */
    public Trend {
        points = List.copyOf(points);
        notes = List.copyOf(notes);
    }

    /**
     * A reading.
     *
     * @param at when
     * @param value in SI units
     * @param oilHours hours at 100 °C that the oil had taken since its last change, as far as they were written down
     */
    public record Point(Instant at, double value, double oilHours) {}

    /** What a trend says. */
    public enum Note implements MessageTopic {
        /** Viscosity left against the fresh oil's. */
        VISCOSITY_LEFT,
        /** Below what its grade has at least. */
        UNDER_GRADE,
        /** Above what its grade has at most. */
        OVER_GRADE,
        /** Fuel thins the oil. */
        FUEL_THINS,
        /** There is water in the oil. */
        WATER_THERE,
        /** It rises or falls by so much a year. */
        SLOPE;

        @Override
        public String chapter() {
            return "careTrend";
        }

        @Override
        public List<String> parts() {
            return List.of("text");
        }
    }

    /**
     * @param book a care book
     * @param oil the car's oil
     * @return a trend of every figure that was read, in the order of the figures
     */
    public static List<Trend> of(CareBook book, Oil oil) {
        Map<CareFigure, List<Point>> points = new EnumMap<>(CareFigure.class);
        Instant changed = Instant.MIN;
        double hours = 0;
        for (CareEntry e : book.counting()) {
            hours += e.oilHours().orElse(0);
            if (CareBook.changesOil(e)) {
                changed = e.at();
                hours = 0;
            }
            for (Map.Entry<CareFigure, Double> f : e.figures().entrySet()) {
                points.computeIfAbsent(f.getKey(), k -> new ArrayList<>()).add(new Point(e.at(), f.getValue(), hours));
            }
        }
        Instant since = changed;
        return points.entrySet().stream()
                .map(p -> of(p.getKey(), p.getValue(), since, oil))
                .toList();
    }

    private static Trend of(CareFigure figure, List<Point> points, Instant changed, Oil oil) {
        // What was read in the oil before does not go on in the fresh one.
        OptionalDouble slope = slope(points.stream()
                .filter(p -> figure.kind() != CareEntry.Kind.OIL_ANALYSIS || !p.at().isBefore(changed))
                .toList());
        List<Message> notes = new ArrayList<>();
        double last = points.get(points.size() - 1).value();
        switch (figure) {
            case VISCOSITY_100 -> viscosity(last, oil, notes);
            case FUEL -> {
                if (last >= MUCH_FUEL) {
                    notes.add(Note.FUEL_THINS.say("text").with("fuel", Measure.SHARE, last, 1));
                }
            }
            case WATER -> {
                if (last >= MUCH_WATER) {
                    notes.add(Note.WATER_THERE.say("text").with("water", Measure.SHARE, last, 1));
                }
            }
            default -> {
                // Wear metals and gauges have no bound that holds for every engine: their slope is what counts.
            }
        }
        slope.ifPresent(s -> notes.add(
                Note.SLOPE.say("text").choose("rises", s >= 0).with("much", rate(figure.measure()), Math.abs(s))));
        return new Trend(figure, points, slope, notes);
    }

    private static Measure rate(Measure measure) {
        return measure == Measure.TEMPERATURE ? Measure.TEMPERATURE_DIFFERENCE : measure;
    }

    private static OptionalDouble slope(List<Point> points) {
        if (points.size() < FEWEST) {
            return OptionalDouble.empty();
        }
        SimpleRegression line = new SimpleRegression();
        Instant first = points.get(0).at();
        points.forEach(p -> line.addData(Duration.between(first, p.at()).toSeconds() / YEAR, p.value()));
        double slope = line.getSlope();
        return Double.isFinite(slope) ? OptionalDouble.of(slope) : OptionalDouble.empty();
    }

    private static void viscosity(double last, Oil oil, List<Message> notes) {
        notes.add(Note.VISCOSITY_LEFT
                .say("text")
                .with("left", Measure.SHARE, last / (oil.kv100Cst() * 1e-6))
                .name("grade", oil.name()));
        hotGrade(oil.name()).ifPresent(g -> {
            if (last < g.least()) {
                notes.add(Note.UNDER_GRADE
                        .say("text")
                        .name("grade", oil.name())
                        .with("bound", Measure.VISCOSITY, g.least()));
            } else if (last >= g.most()) {
                notes.add(Note.OVER_GRADE
                        .say("text")
                        .name("grade", oil.name())
                        .with("bound", Measure.VISCOSITY, g.most()));
            }
        });
    }

    /** What a grade has at 100 °C, m²/s. */
    private record HotGrade(String number, double least, double most) {}

    /** Source: SAE J300, Engine Oil Viscosity Classification, kinematic viscosity at 100 °C. */
    private static final List<HotGrade> HOT = List.of(
            new HotGrade("16", 6.1e-6, 8.2e-6),
            new HotGrade("20", 6.9e-6, 9.3e-6),
            new HotGrade("30", 9.3e-6, 12.5e-6),
            new HotGrade("40", 12.5e-6, 16.3e-6),
            new HotGrade("50", 16.3e-6, 21.9e-6),
            new HotGrade("60", 21.9e-6, 26.1e-6));

    private static Optional<HotGrade> hotGrade(String name) {
        return HOT.stream()
                .filter(g ->
                        name.equals(g.number()) || name.endsWith("-" + g.number()) || name.endsWith("W" + g.number()))
                .findFirst();
    }
}
