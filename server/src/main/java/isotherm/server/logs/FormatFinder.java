package isotherm.server.logs;

import isotherm.server.evidence.Channel;
import isotherm.server.evidence.LogFormat;
import isotherm.server.evidence.LogFormat.Delimiter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Finds out how a log is written from its first lines. */
final class FormatFinder {
    private static final Pattern NUMBER = Pattern.compile("[-+]?(\\d+([.,]\\d*)?|[.,]\\d+)([eE][-+]?\\d+)?");
    private static final Pattern COMMA_NUMBER = Pattern.compile("[-+]?\\d+,\\d+([eE][-+]?\\d+)?");
    private static final Pattern POINT_NUMBER = Pattern.compile("[-+]?\\d*\\.\\d+([eE][-+]?\\d+)?");
    private static final Pattern CLOCK = Pattern.compile("\\d{1,3}(:\\d{1,2}){1,2}([.,]\\d+)?");
    private static final Pattern ISO = Pattern.compile("\\d{4}-\\d{2}-\\d{2}[T ]\\d{2}:\\d{2}.*");
    private static final Pattern UNIT_IN_NAME = Pattern.compile("^(.*?)\\s*[\\[(]\\s*([^\\])]+?)\\s*[\\])]\\s*$");
    /** Lines that are looked at. */
    static final int SAMPLE = 200;

    private final List<String> lines;
    private final Delimiter delimiter;

    private FormatFinder(List<String> lines) {
        this.lines = lines;
        this.delimiter = delimiter();
    }

    static LogFormat find(List<String> lines) {
        return new FormatFinder(lines.subList(0, Math.min(SAMPLE, lines.size()))).format();
    }

    /** The sign that cuts most lines into the same number of columns, two or more. */
    private Delimiter delimiter() {
        Delimiter best = Delimiter.COMMA;
        double most = 0;
        for (Delimiter d : Delimiter.values()) {
            Map<Integer, Integer> counts = new java.util.HashMap<>();
            for (String line : lines) {
                int columns = Cells.of(line, d.sign()).size();
                if (columns > 1) {
                    counts.merge(columns, 1, Integer::sum);
                }
            }
            for (Map.Entry<Integer, Integer> e : counts.entrySet()) {
                // A decimal comma also cuts every line; a semicolon or tabulator beside it is meant then.
                double score = e.getValue() * (d == Delimiter.COMMA ? 0.9 : 1.0);
                if (score > most) {
                    most = score;
                    best = d;
                }
            }
        }
        return best;
    }

    private boolean numeric(String cell) {
        return NUMBER.matcher(cell).matches()
                || CLOCK.matcher(cell).matches()
                || ISO.matcher(cell).matches();
    }

    private boolean data(List<String> cells) {
        long filled = cells.stream().filter(c -> !c.isEmpty()).count();
        long numbers = cells.stream().filter(this::numeric).count();
        return cells.size() > 1 && filled > 0 && numbers >= 0.6 * filled && numbers >= 1;
    }

    private LogFormat format() {
        List<List<String>> rows =
                lines.stream().map(l -> Cells.of(l, delimiter.sign())).toList();
        int width = width(rows);
        int first = 0;
        while (first < rows.size() && !(data(rows.get(first)) && rows.get(first).size() >= Math.min(width, 2))) {
            first++;
        }
        if (first == rows.size()) {
            first = Math.min(1, rows.size());
        }
        int header = -1;
        List<String> units = null;
        for (int i = first - 1; i >= 0 && header < 0; i--) {
            List<String> row = rows.get(i);
            long words = row.stream().filter(c -> !c.isEmpty() && !numeric(c)).count();
            if (row.size() < 2 || words == 0) {
                continue;
            }
            boolean unitRow = units == null
                    && i > 0
                    && row.stream().filter(c -> !c.isEmpty()).allMatch(FormatFinder::looksLikeUnit);
            if (unitRow) {
                units = row;
            } else {
                header = i;
            }
        }
        boolean comma = decimalComma(rows, first);
        List<LogFormat.Column> columns =
                columns(header >= 0 ? rows.get(header) : unnamed(width), units, rows, first, comma);
        LogFormat.Time time = LogFormat.Time.ROWS;
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i).channel() == Channel.TIME) {
                time = time(rows, first, i);
            }
        }
        return new LogFormat(
                delimiter,
                comma,
                header + 1,
                first + 1,
                time,
                time == LogFormat.Time.ROWS ? (Double) 10.0 : null,
                columns);
    }

    private static boolean looksLikeUnit(String cell) {
        String bare = cell.replaceAll("^[\\[(]|[\\])]$", "");
        return Channel.Unit.named(bare).isPresent() || bare.equals("%") || bare.length() <= 2;
    }

    private static int width(List<List<String>> rows) {
        return rows.stream().mapToInt(List::size).max().orElse(1);
    }

    private static List<String> unnamed(int width) {
        List<String> names = new ArrayList<>();
        for (int i = 0; i < width; i++) {
            names.add("column " + (i + 1));
        }
        return names;
    }

    private boolean decimalComma(List<List<String>> rows, int first) {
        if (delimiter == Delimiter.COMMA) {
            return false;
        }
        int commas = 0;
        int points = 0;
        for (List<String> row : rows.subList(Math.min(first, rows.size()), rows.size())) {
            for (String c : row) {
                commas += COMMA_NUMBER.matcher(c).matches() ? 1 : 0;
                points += POINT_NUMBER.matcher(c).matches() ? 1 : 0;
            }
        }
        return commas > points;
    }

    private static LogFormat.Time time(List<List<String>> rows, int first, int column) {
        for (List<String> row : rows.subList(first, rows.size())) {
            if (column < row.size()) {
                String c = row.get(column);
                if (ISO.matcher(c).matches()) {
                    return LogFormat.Time.ISO;
                }
                if (CLOCK.matcher(c).matches()) {
                    return LogFormat.Time.CLOCK;
                }
                if (NUMBER.matcher(c).matches()) {
                    return LogFormat.Time.NUMBER;
                }
            }
        }
        return LogFormat.Time.NUMBER;
    }

    /** Each channel goes to the column whose name says it best; a column holds one channel. */
    private List<LogFormat.Column> columns(
            List<String> header, List<String> units, List<List<String>> rows, int first, boolean comma) {
        int n = header.size();
        String[] names = new String[n];
        Channel.Unit[] named = new Channel.Unit[n];
        // A unit that only ends the name counts where the channel can have it: "Oil T" is no temperature in tesla.
        Channel.Unit[] ending = new Channel.Unit[n];
        for (int i = 0; i < n; i++) {
            Matcher m = UNIT_IN_NAME.matcher(header.get(i));
            names[i] = m.matches() ? m.group(1) : header.get(i);
            String unit = m.matches() ? m.group(2) : units != null && i < units.size() ? units.get(i) : "";
            named[i] =
                    Channel.Unit.named(unit.replaceAll("^[\\[(]|[\\])]$", "")).orElse(null);
            ending[i] = named[i] != null
                    ? null
                    : Channel.Unit.ending(names[i])
                            .map(Channel.Unit.Ending::unit)
                            .orElse(null);
        }
        Channel[] channels = new Channel[n];
        Map<Channel, Integer> taken = new EnumMap<>(Channel.class);
        record Match(Channel channel, int column, int score) {}
        List<Match> matches = new ArrayList<>();
        for (Channel c : Channel.values()) {
            for (int i = 0; i < n; i++) {
                // Turns a minute are those of the engine, whatever the column is called, unless another one says so by
                // its name.
                boolean turns = c == Channel.RPM && (named[i] == Channel.Unit.RPM || ending[i] == Channel.Unit.RPM);
                boolean ends = ending[i] != null && c.units().contains(ending[i]);
                // Oil in a unit of pressure is its pressure: "Oil (psi)".
                Channel.Unit said = named[i] != null ? named[i] : ending[i];
                boolean pressed = c == Channel.PRESSURE
                        && said != null
                        && c.units().contains(said)
                        && Channel.OIL.match(names[i]) > 0;
                int score = Math.max(c.match(names[i]), turns || pressed ? 1 : 0);
                // A unit that the channel cannot have speaks against it: "Oil (bar)" is no temperature.
                if (score > 0 && (named[i] == null || c.units().contains(named[i]))) {
                    matches.add(new Match(c, i, score + (named[i] != null || ends ? 3 : 0)));
                }
            }
        }
        matches.sort((a, b) -> b.score() - a.score());
        for (Match m : matches) {
            if (channels[m.column()] == null && !taken.containsKey(m.channel())) {
                channels[m.column()] = m.channel();
                taken.put(m.channel(), m.column());
            }
        }
        List<LogFormat.Column> columns = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            Channel c = channels[i];
            boolean ends = c != null && ending[i] != null && c.units().contains(ending[i]);
            Channel.Unit unit =
                    c == null ? null : named[i] != null ? named[i] : ends ? ending[i] : guess(c, rows, first, i, comma);
            columns.add(new LogFormat.Column(header.get(i), c, unit));
        }
        return columns;
    }

    /** Without a unit, the size of the values has to tell; the importer's preview lets a person correct it. */
    private static Channel.Unit guess(Channel c, List<List<String>> rows, int first, int column, boolean comma) {
        double[] values = rows.subList(first, rows.size()).stream()
                .filter(r -> column < r.size() && NUMBER.matcher(r.get(column)).matches())
                .mapToDouble(r -> LogReader.number(r.get(column), comma))
                .filter(Double::isFinite)
                .toArray();
        if (values.length < 2) {
            return c.units().get(0);
        }
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        double median = sorted[sorted.length / 2];
        return switch (c) {
            case TIME -> {
                double[] steps = new double[values.length - 1];
                for (int i = 0; i < steps.length; i++) {
                    steps[i] = values[i + 1] - values[i];
                }
                Arrays.sort(steps);
                yield steps[steps.length / 2] >= 5 ? Channel.Unit.MS : Channel.Unit.S;
            }
            case PRESSURE -> median > 120 ? Channel.Unit.KPA : median > 14 ? Channel.Unit.PSI : Channel.Unit.BAR;
            case OIL, OIL_RETURN, COOLANT ->
                median > 250 ? Channel.Unit.K : median > 145 ? Channel.Unit.F : Channel.Unit.C;
            default -> c.units().get(0);
        };
    }
}
