package isotherm.server.contract;

import isotherm.core.message.Message;
import isotherm.words.UnitChoice;
import isotherm.words.Words;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Optional;

/**
 * One thing wrong with a document.
 *
 * @param path JSON pointer to the field, for example {@code /car/engine/powerKw}
 * @param value what stands there, as JSON; {@code null} when nothing does
 * @param message what is wrong and what is allowed, in a sentence
 * @param min least value allowed, in {@code unit}, if there is one
 * @param max greatest value allowed, in {@code unit}, if there is one
 * @param unit unit, empty for a pure number
 */
public record Problem(
        String path,
        @Missing("nothing stands there") String value,
        String message,
        @Missing("no least value") Double min,
        @Missing("no greatest value") Double max,
        String unit) {
    /**
     * @param path where it is, as a JSON pointer
     * @param value what was found there, null for nothing
     * @param message what is wrong and what is expected
     * @return a problem without a range
     */
    public static Problem of(String path, String value, String message) {
        return new Problem(path, value, message, null, null, "");
    }

    /**
     * @param path where it is, as a JSON pointer
     * @param day what was found there, null for nothing
     * @return what is wrong with it as a day, if anything
     */
    public static Optional<Problem> day(String path, String day) {
        if (day == null) {
            return Optional.empty();
        }
        try {
            LocalDate.parse(day);
            return Optional.empty();
        } catch (DateTimeParseException e) {
            return Optional.of(of(path, day, "A day is expected here, such as 2026-01-31"));
        }
    }

    /**
     * @param path where it is, as a JSON pointer
     * @param value what was found there, null for nothing
     * @param message what is wrong and what is expected
     * @return what is thrown for that alone
     */
    public static InvalidDocument refused(String path, String value, String message) {
        return new InvalidDocument(List.of(of(path, value, message)));
    }

    /**
     * @param path where it is, as a JSON pointer
     * @param value what was found there, null for nothing
     * @param why what is wrong and what is expected; a problem is said in metric units
     * @return what is thrown for that alone
     */
    public static InvalidDocument refused(String path, String value, Message why) {
        return refused(path, value, Words.english().render(why, UnitChoice.METRIC));
    }
}
