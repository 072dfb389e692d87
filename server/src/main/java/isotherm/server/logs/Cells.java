package isotherm.server.logs;

import java.util.ArrayList;
import java.util.List;

/** Cuts a line of a log into its cells. Loggers write no line ends inside quotes, so that a stray quote spoils one line at most. */
final class Cells {
    private Cells() {}

    /**
     * @param line a line without its end
     * @param delimiter what stands between two cells
     * @return the cells without blanks and quotes about them
     */
    static List<String> of(String line, char delimiter) {
        List<String> cells = new ArrayList<>();
        if (line.indexOf('"') < 0) {
            int from = 0;
            for (int to = line.indexOf(delimiter); to >= 0; to = line.indexOf(delimiter, from)) {
                cells.add(line.substring(from, to).strip());
                from = to + 1;
            }
            cells.add(line.substring(from).strip());
            return cells;
        }
        boolean paired = line.chars().filter(c -> c == '"').count() % 2 == 0;
        StringBuilder cell = new StringBuilder();
        boolean quoted = false;
        for (int i = 0; i < line.length(); i++) {
            char c = line.charAt(i);
            if (c == '"') {
                quoted = paired && !quoted;
            } else if (c == delimiter && !quoted) {
                cells.add(cell.toString().strip());
                cell.setLength(0);
            } else {
                cell.append(c);
            }
        }
        cells.add(cell.toString().strip());
        return cells;
    }
}
