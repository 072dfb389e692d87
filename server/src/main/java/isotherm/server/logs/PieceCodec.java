package isotherm.server.logs;

import java.nio.ByteBuffer;

/** Some thousand rows of a log as bytes: number of rows, the times as doubles, every other channel as floats. */
final class PieceCodec {
    /** Rows of a piece. */
    static final int ROWS = 8192;

    private PieceCodec() {}

    static byte[] encode(double[][] columns, int rows) {
        ByteBuffer bytes = ByteBuffer.allocate(4 + rows * (8 + 4 * (columns.length - 1)));
        bytes.putInt(rows);
        for (int i = 0; i < rows; i++) {
            bytes.putDouble(columns[0][i]);
        }
        for (int c = 1; c < columns.length; c++) {
            for (int i = 0; i < rows; i++) {
                bytes.putFloat((float) columns[c][i]);
            }
        }
        return bytes.array();
    }

    static int rows(byte[] piece) {
        return ByteBuffer.wrap(piece).getInt();
    }

    static int channels(byte[] piece) {
        int rows = rows(piece);
        return rows == 0 ? 0 : 1 + (piece.length - 4 - rows * 8) / (rows * 4);
    }

    /** One channel of a piece; 0 is the time. */
    static double[] column(byte[] piece, int channel) {
        ByteBuffer bytes = ByteBuffer.wrap(piece);
        int rows = bytes.getInt();
        double[] values = new double[rows];
        if (channel == 0) {
            for (int i = 0; i < rows; i++) {
                values[i] = bytes.getDouble();
            }
            return values;
        }
        bytes.position(4 + rows * 8 + (channel - 1) * rows * 4);
        for (int i = 0; i < rows; i++) {
            values[i] = bytes.getFloat();
        }
        return values;
    }
}
