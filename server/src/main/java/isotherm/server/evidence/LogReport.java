package isotherm.server.evidence;

import java.util.List;

/**
 * How the reading went.
 *
 * @param rows rows that were kept
 * @param spoiled rows that were not
 * @param missingValues values in kept rows that could not be read or were empty
 * @param samples the first spoiled rows with their line and the reason
 * @param durationSeconds from the first row to the last
 * @param outOfRange by channel, readings that no car shows and that were left out
 * @param clockJumps how often the logger's clock was set while it ran
 */
public record LogReport(
        long rows,
        long spoiled,
        long missingValues,
        List<SpoiledRow> samples,
        double durationSeconds,
        List<LeftOut> outOfRange,
        int clockJumps) {
    /**
     * A row that was not kept.
     *
     * @param line its line in the file, counted from 1
     * @param reason why
     */
    public record SpoiledRow(long line, String reason) {}

    /**
     * Readings that were left out.
     *
     * @param channel their channel
     * @param readings how many
     */
    public record LeftOut(Channel channel, long readings) {}
}
