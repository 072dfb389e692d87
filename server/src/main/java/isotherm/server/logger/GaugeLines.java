package isotherm.server.logger;

import isotherm.core.fluid.Units;
import isotherm.core.sheet.Channel;
import isotherm.core.sheet.Sample;
import isotherm.core.trial.SimulatedEngine;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** The line protocol between a logger and the run sheet; docs/formats/gauges.md describes it. */
public final class GaugeLines {
    /** First line of every connection, with the protocol's version. */
    public static final String GREETING = "ISOTHERM-GAUGES 1";
    /** First word of a line with values. */
    private static final String ROW = "ROW";
    /** First word of a line that tells the simulated engine what to do. */
    private static final String ENGINE = "ENGINE";

    private static final double PASCAL_PER_BAR = 1e5;

    private GaugeLines() {}

    /**
     * @param sample what the gauges show
     * @return it as a line without its end
     */
    public static String row(Sample sample) {
        StringBuilder line = new StringBuilder(ROW).append(String.format(Locale.ROOT, " %.2f", sample.time()));
        for (Channel c : Channel.values()) {
            sample.get(c)
                    .ifPresent(v -> line.append(
                            String.format(Locale.ROOT, " %s=%.3f", c.name().toLowerCase(Locale.ROOT), written(c, v))));
        }
        return line.toString();
    }

    /**
     * @param line a line
     * @return what the gauges show; empty when it is no line with values, or none that can be read
     */
    public static Optional<Sample> read(String line) {
        String[] words = line.strip().split("\\s+");
        if (words.length < 2 || !words[0].equals(ROW)) {
            return Optional.empty();
        }
        try {
            double time = Double.parseDouble(words[1]);
            Map<Channel, Double> values = new EnumMap<>(Channel.class);
            for (int i = 2; i < words.length; i++) {
                String[] pair = words[i].split("=", 2);
                Optional<Channel> channel = channel(pair[0]);
                if (pair.length == 2 && channel.isPresent()) {
                    double v = Double.parseDouble(pair[1]);
                    if (Double.isFinite(v)) {
                        values.put(channel.get(), si(channel.get(), v));
                    }
                }
            }
            return Double.isFinite(time) ? Optional.of(new Sample(time, values)) : Optional.empty();
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    /** A channel that is not known here is no error: other loggers have more of them. */
    private static Optional<Channel> channel(String name) {
        for (Channel c : Channel.values()) {
            if (c.name().toLowerCase(Locale.ROOT).equals(name)) {
                return Optional.of(c);
            }
        }
        return Optional.empty();
    }

    /**
     * @param what what the simulated engine is to do
     * @return the line that tells it
     */
    public static String command(SimulatedEngine.Turning what) {
        return ENGINE + " " + what.name().toLowerCase(Locale.ROOT);
    }

    /**
     * @param line a line
     * @return what it tells the simulated engine to do; empty when it is no such line
     */
    public static Optional<SimulatedEngine.Turning> command(String line) {
        for (SimulatedEngine.Turning t : SimulatedEngine.Turning.values()) {
            if (line.strip().equals(command(t))) {
                return Optional.of(t);
            }
        }
        return Optional.empty();
    }

    /**
     * @param channel a channel
     * @param si its value in SI units
     * @return the value in the unit of the protocol: bar, °C, 1/min
     */
    public static double written(Channel channel, double si) {
        return switch (channel) {
            case RPM -> si;
            case OIL_PRESSURE -> si / PASCAL_PER_BAR;
            case OIL, OIL_RETURN, CORE_FAR, COOLANT, AMBIENT -> Units.celsius(si);
        };
    }

    private static double si(Channel channel, double written) {
        return switch (channel) {
            case RPM -> written;
            case OIL_PRESSURE -> written * PASCAL_PER_BAR;
            case OIL, OIL_RETURN, CORE_FAR, COOLANT, AMBIENT -> Units.kelvin(written);
        };
    }
}
