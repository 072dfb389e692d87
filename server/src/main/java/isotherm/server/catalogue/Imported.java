package isotherm.server.catalogue;

import java.util.List;

/**
 * How an import went, or would go.
 *
 * @param added parts that are new
 * @param changed parts whose price or dimensions change
 * @param same parts that stay as they are
 * @param refused lines that cannot be taken
 */
public record Imported(int added, int changed, int same, List<Refused> refused) {
    /**
     * A line that cannot be taken.
     *
     * @param line its line, counted from 1
     * @param reason why
     */
    public record Refused(long line, String reason) {}
}
