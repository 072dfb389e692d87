package isotherm.server.logs;

import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.evidence.Channel;
import isotherm.server.evidence.LogDocument.Shape;
import isotherm.server.store.LargeStore;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Service;

/**
 * The kept rows of a log as separated values and back, without loss: a first line with the channels, then a line for each row, the
 * time in seconds with all its digits, every other channel in the channel's own unit, nothing where nothing was read.
 */
@Service
public class LogRows {
    private final LargeStore large;

    LogRows(LargeStore large) {
        this.large = large;
    }

    /**
     * @param id a log
     * @param log what its rows hold
     * @param out receives its rows; stays open
     * @throws IOException when it does not take them
     */
    public void write(UUID id, Shape log, OutputStream out) throws IOException {
        Writer text = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        text.write(header(log) + "\n");
        try {
            // Nothing is known of the columns of a log whose document cannot be read at all.
            if (!log.channels().isEmpty()) {
                large.pieces(id, piece -> rows(piece, log.channels().size(), text));
            }
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
        text.flush();
    }

    private static String header(Shape log) {
        return log.channels().stream().map(Channel::name).collect(Collectors.joining(","));
    }

    private static void rows(byte[] piece, int channels, Writer text) {
        double[][] columns = new double[channels][];
        for (int c = 0; c < channels; c++) {
            columns[c] = PieceCodec.column(piece, c);
        }
        StringBuilder lines = new StringBuilder();
        for (int i = 0; i < PieceCodec.rows(piece); i++) {
            lines.append(columns[0][i]);
            for (int c = 1; c < channels; c++) {
                lines.append(',');
                if (Double.isFinite(columns[c][i])) {
                    lines.append((float) columns[c][i]);
                }
            }
            lines.append('\n');
        }
        try {
            text.append(lines);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * @param log what its rows hold
     * @param in its rows as {@link #write} writes them; stays open
     * @param file name that problems are told with
     * @param pieces takes what is kept of them
     * @throws IOException when they cannot be read
     * @throws InvalidDocument when they are not rows of this log
     */
    public static void read(Shape log, InputStream in, String file, LargeStore.Pieces pieces) throws IOException {
        PieceWriter writer = new PieceWriter(pieces);
        writer.begin(log.channels());
        double[] values = new double[log.channels().size()];
        int rows = 0;
        // Not closed, since the stream is not ours to close.
        CSVParser parser = CSVParser.parse(
                new ShortLines(new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8), 1 << 16)),
                CSVFormat.RFC4180);
        for (CSVRecord row : parser) {
            if (row.getRecordNumber() == 1) {
                if (!String.join(",", row.toList()).equals(header(log))) {
                    throw wrong(file, 1, "the columns " + header(log) + " are expected");
                }
                continue;
            }
            double before = rows == 0 ? Double.NEGATIVE_INFINITY : values[0];
            values(row, values, file);
            if (!(values[0] > before)) {
                throw wrong(file, row.getRecordNumber(), "its time is not after that of the row before");
            }
            writer.row(values);
            rows++;
        }
        writer.end();
        if (rows != log.rows()) {
            throw new InvalidDocument(
                    List.of(Problem.of(file, null, log.rows() + " rows are expected, " + rows + " are there")));
        }
    }

    private static void values(CSVRecord row, double[] values, String file) {
        if (row.size() != values.length) {
            throw wrong(file, row.getRecordNumber(), "it has " + row.size() + " columns, not " + values.length);
        }
        for (int c = 0; c < values.length; c++) {
            String cell = row.get(c);
            // Kept as a double is the time alone; what a sensor read goes in and out as the float that it is kept as.
            values[c] = c == 0 ? LogReader.number(cell, false) : (float) LogReader.number(cell, false);
            if (!Double.isFinite(values[c]) && (c == 0 || !cell.isEmpty())) {
                throw wrong(file, row.getRecordNumber(), "“" + LogReader.shortened(cell) + "” is not a number");
            }
        }
    }

    private static InvalidDocument wrong(String file, long line, String message) {
        return Problem.refused(file, null, "Line " + line + ": " + message);
    }
}
