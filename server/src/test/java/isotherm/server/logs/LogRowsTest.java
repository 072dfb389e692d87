package isotherm.server.logs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import isotherm.core.car.Car;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.evidence.Channel;
import isotherm.server.evidence.LogDocument;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rows of a log that came as a file of another garage. */
class LogRowsTest {
    private static LogDocument log(int rows) {
        return new LogDocument(
                "Evening",
                "evening.csv",
                List.of(Channel.TIME, Channel.SPEED, Channel.OIL),
                rows,
                0,
                rows,
                Car.SensorPlace.SUMP,
                20,
                100,
                null,
                null,
                null);
    }

    private static List<byte[]> read(int rows, String text) throws IOException {
        List<byte[]> pieces = new ArrayList<>();
        LogRows.read(
                log(rows).shape(),
                new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)),
                "rows.csv",
                pieces::add);
        return pieces;
    }

    @Test
    void areKeptInPiecesWithNothingWhereNothingWasRead() throws IOException {
        StringBuilder text = new StringBuilder("TIME,SPEED,OIL\n");
        int rows = PieceCodec.ROWS + 3;
        for (int i = 0; i < rows; i++) {
            text.append(i / 8.0)
                    .append(i == 2 ? ",," : ",100.5,")
                    .append(90 + i % 16 / 16.0)
                    .append('\n');
        }
        List<byte[]> pieces = read(rows, text.toString());
        assertThat(pieces).hasSize(2);
        assertThat(PieceCodec.rows(pieces.get(0))).isEqualTo(PieceCodec.ROWS);
        assertThat(PieceCodec.rows(pieces.get(1))).isEqualTo(3);
        assertThat(PieceCodec.column(pieces.get(0), 0)[8]).isEqualTo(1.0);
        assertThat(PieceCodec.column(pieces.get(0), 1)[1]).isEqualTo(100.5);
        assertThat(PieceCodec.column(pieces.get(0), 1)[2]).isNaN();
        assertThat(PieceCodec.column(pieces.get(1), 2)[0]).isEqualTo(90 + PieceCodec.ROWS % 16 / 16.0);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "TIME,RPM,OIL;0,1,2;1,1,2 | Line 1: the columns TIME,SPEED,OIL are expected",
                "TIME,SPEED,OIL;0,1,2;1,1 | Line 3: it has 2 columns, not 3",
                "TIME,SPEED,OIL;0,1,2;0,1,2 | Line 3: its time is not after that of the row before",
                "TIME,SPEED,OIL;0,1,2;-1,1,2 | Line 3: its time is not after that of the row before",
                "TIME,SPEED,OIL;0,1,2;,1,2 | Line 3: “” is not a number",
                "TIME,SPEED,OIL;0,fast,2;1,1,2 | Line 2: “fast” is not a number",
                "TIME,SPEED,OIL;0,1e999,2;1,1,2 | Line 2: “1e999” is not a number",
                "TIME,SPEED,OIL;0,NaN,2;1,1,2 | Line 2: “NaN” is not a number",
                "TIME,SPEED,OIL;0,1,2 | 2 rows are expected, 1 are there",
                "TIME,SPEED,OIL;0,1,2;1,1,2;2,1,2 | 2 rows are expected, 3 are there"
            })
    void thatAreNotTheLogsAreRefusedWithTheirLine(String text, String said) {
        assertThatThrownBy(() -> read(2, text.replace(';', '\n') + "\n"))
                .isInstanceOf(InvalidDocument.class)
                .hasMessageContaining("rows.csv")
                .hasMessageContaining(said);
    }

    @Test
    void oneEndlessLineIsRefusedBeforeItFillsTheMemory() {
        String endless = "TIME,SPEED,OIL\n" + "9".repeat(1_000_000);
        assertThatThrownBy(() -> read(2, endless)).isInstanceOfAny(IOException.class, UncheckedIOException.class);
    }
}
