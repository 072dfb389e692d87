package isotherm.server.logs;

import isotherm.server.evidence.Channel;
import isotherm.server.store.LargeStore;
import java.util.List;

/** Gathers rows into pieces. */
final class PieceWriter implements LogSink {
    private final LargeStore.Pieces pieces;
    private List<Channel> channels = List.of();
    private double[][] columns = new double[0][];
    private int rows;

    PieceWriter(LargeStore.Pieces pieces) {
        this.pieces = pieces;
    }

    @Override
    public void begin(List<Channel> all) {
        channels = all;
        columns = new double[all.size()][PieceCodec.ROWS];
    }

    @Override
    public void row(double[] values) {
        for (int c = 0; c < columns.length; c++) {
            columns[c][rows] = values[c];
        }
        if (++rows == PieceCodec.ROWS) {
            end();
        }
    }

    void end() {
        if (rows > 0) {
            pieces.add(PieceCodec.encode(columns, rows));
            rows = 0;
        }
    }

    List<Channel> channels() {
        return channels;
    }
}
