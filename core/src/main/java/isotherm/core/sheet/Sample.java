package isotherm.core.sheet;

import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * What the gauges showed at one moment.
 *
 * @param time seconds on the logger's own clock
 * @param values what each channel showed, in SI units; a channel that shows nothing is not there
 */
public record Sample(double time, Map<Channel, Double> values) {
    /** Above it an engine turns, if only on its starter, 1/min (default): a sensor at rest shows less. */
    private static final double TURNING = 50;

    /** Defensive copy. */
    public Sample {
        values = Map.copyOf(values);
    }

    /**
     * @param channel a channel
     * @return what it showed
     */
    public OptionalDouble get(Channel channel) {
        Double value = values.get(channel);
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    /** @return whether the engine turns, cranked or running; not when its speed is not shown */
    public boolean turns() {
        return get(Channel.RPM).orElse(0) > TURNING;
    }

    /** @return the same without readings that no sensor of its channel can give */
    public Sample plausible() {
        Map<Channel, Double> kept = new EnumMap<>(Channel.class);
        values.forEach((channel, value) -> {
            if (channel.isPlausible(value)) {
                kept.put(channel, value);
            }
        });
        return new Sample(time, kept);
    }
}
