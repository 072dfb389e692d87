package isotherm.words;

import isotherm.core.message.Measure;
import isotherm.core.message.Unit;
import isotherm.core.message.Value;
import java.util.Locale;

/** Writes figures with their units. */
public final class Figures {
    private static final long MINUTE = 60;
    private static final long HOUR = 3600;

    private final UnitChoice units;

    /** @param units the units that the reader wants */
    public Figures(UnitChoice units) {
        this.units = units;
    }

    /**
     * @param measure what is measured
     * @param si its value in SI units
     * @return the figure with its unit, with the decimals that are worth reading
     */
    public String write(Measure measure, double si) {
        return write(measure, si, measure.metric().digits());
    }

    /**
     * @param measure what is measured
     * @param si its value in SI units
     * @param digits decimals in the metric unit
     * @return the figure with its unit
     */
    public String write(Measure measure, double si, int digits) {
        if (measure == Measure.TIME && digits == 0) {
            return time(Math.round(si));
        }
        String symbol = units.unit(measure).symbol();
        String gap = symbol.isEmpty() || symbol.equals("°") ? "" : " ";
        return number(measure, si, digits) + gap + symbol;
    }

    /**
     * @param measure what is measured
     * @param si its value in SI units
     * @param digits decimals in the metric unit
     * @return the figure without its unit
     */
    public String number(Measure measure, double si, int digits) {
        Unit unit = units.unit(measure);
        int kept = Math.max(0, digits + unit.digits() - measure.metric().digits());
        String written = String.format(Locale.ROOT, "%." + kept + "f", unit.of(si));
        // A rounded nothing has no sign.
        boolean nothing = written.chars().noneMatch(c -> c >= '1' && c <= '9');
        return nothing ? written.replace("-", "") : written.replace('-', '−');
    }

    String write(Value.Figure f) {
        return write(f.measure(), f.si(), f.digits().orElse(f.measure().metric().digits()));
    }

    /** 45 s; 9 min 30 s; 2 h 5 min. */
    private static String time(long seconds) {
        if (Math.abs(seconds) < MINUTE) {
            return seconds + " s";
        }
        if (seconds < HOUR) {
            long rest = seconds % MINUTE;
            return seconds / MINUTE + " min" + (rest == 0 ? "" : " " + rest + " s");
        }
        long minutes = Math.round(seconds / (double) MINUTE);
        return minutes / MINUTE + " h" + (minutes % MINUTE == 0 ? "" : " " + minutes % MINUTE + " min");
    }
}
