package isotherm.core.sheet;

import java.util.Map;
import java.util.OptionalDouble;

/**
 * What the gauges showed at one moment.
 *
 * @param time seconds on the logger's own clock
 * @param values what each channel showed, in SI units; a channel that shows nothing is not there
 */
public record Sample(double time, Map<Channel, Double> values) {
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
}
