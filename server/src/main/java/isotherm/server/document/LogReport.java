package isotherm.server.document;

import java.util.List;

/**
 * How the reading went.
 *
 * @param rows rows that were kept
 * @param spoiled rows that were not
 * @param missingValues values in kept rows that could not be read or were empty
 * @param samples the first spoiled rows with their line and the reason
 * @param durationSeconds from the first row to the last
 */
public record LogReport(long rows, long spoiled, long missingValues, List<SpoiledRow> samples, double durationSeconds) {
    /**
     * A row that was not kept.
     *
     * @param line its line in the file, counted from 1
     * @param reason why
     */
    public record SpoiledRow(long line, String reason) {}
}
