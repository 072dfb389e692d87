package isotherm.server.files;

import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.message.MessageTopic;
import isotherm.server.contract.MessageDocument;
import isotherm.words.Figures;
import isotherm.words.UnitChoice;
import isotherm.words.Words;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Words and units of a paper, as its reader wants them. */
public final class Speech {
    /** A figure and its unit stay on one line. */
    private static final char UNBROKEN = '\u00a0';

    private final UnitChoice units;
    private final Figures figures;
    private final String currency;

    /** @param units the reader's units */
    public Speech(UnitChoice units) {
        this(units, null);
    }

    /**
     * @param units the reader's units
     * @param currency the garage's currency by its three letters; null where none has been chosen
     */
    public Speech(UnitChoice units, String currency) {
        this.units = units;
        this.figures = new Figures(units);
        this.currency = currency;
    }

    /** A price with the garage's currency. */
    String money(double price, int digits) {
        String number = String.format(Locale.ROOT, "%." + digits + "f", price);
        return currency == null ? number : number + UNBROKEN + currency;
    }

    /** The garage's currency; empty where none has been chosen. */
    String currency() {
        return currency == null ? "" : currency;
    }

    String say(MessageDocument message) {
        return say(message.toCore());
    }

    String say(Message message) {
        return Words.english().render(message, units);
    }

    String name(MessageTopic topic) {
        return say(topic.say("name"));
    }

    String list(List<MessageDocument> messages) {
        return messages.stream().map(this::say).collect(Collectors.joining(", "));
    }

    /** A figure in its metric unit, written in the reader's. */
    String figure(Measure measure, double metric) {
        return figure(measure, metric, measure.metric().digits());
    }

    String figure(Measure measure, double metric, int digits) {
        return figures.write(measure, measure.metric().toSi(metric), digits).replace(' ', UNBROKEN);
    }

    /** Without its unit. */
    String number(Measure measure, double metric, int digits) {
        return figures.number(measure, measure.metric().toSi(metric), digits);
    }

    /** One measure for each of another, given in metric units, without its unit. */
    String ratio(double metric, Measure above, Measure below) {
        double scale = units.unit(above).factor()
                / above.metric().factor()
                * below.metric().factor()
                / units.unit(below).factor();
        return String.format(Locale.ROOT, "%.1f", metric * scale);
    }

    /** The price of one unit, given for the metric one. */
    double each(double metric, Measure measure) {
        return metric * measure.metric().factor() / units.unit(measure).factor();
    }

    String unit(Measure measure) {
        return units.unit(measure).symbol();
    }

    String range(Measure measure, double low, double high, int digits) {
        return low == high
                ? figure(measure, low, digits)
                : number(measure, low, digits) + " to " + figure(measure, high, digits);
    }
}
