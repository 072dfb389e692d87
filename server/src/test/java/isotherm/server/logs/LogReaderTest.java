package isotherm.server.logs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import isotherm.server.evidence.Channel;
import isotherm.server.evidence.LogFormat;
import isotherm.server.evidence.LogReport;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LogReaderTest {
    /** Gathers rows. */
    private static final class Rows implements LogSink {
        private final List<double[]> rows = new ArrayList<>();
        private List<Channel> channels = List.of();

        @Override
        public void begin(List<Channel> all) {
            channels = all;
        }

        @Override
        public void row(double[] values) {
            rows.add(values.clone());
        }

        double at(int row, Channel channel) {
            return rows.get(row)[channels.indexOf(channel)];
        }
    }

    private static final LogReader.Limit ALL = new LogReader.Limit(Long.MAX_VALUE, Long.MAX_VALUE);

    private record Read(LogFormat format, LogReport report, Rows rows) {}

    private static Read read(byte[] bytes, LogFormat given) throws IOException {
        LogReader.Head head;
        try (InputStream in = Unpacked.of(new ByteArrayInputStream(bytes))) {
            head = LogReader.head(in);
        }
        LogFormat format = given == null ? FormatFinder.find(head.lines()) : given;
        Rows rows = new Rows();
        try (InputStream in = Unpacked.of(new ByteArrayInputStream(bytes))) {
            LogReport report = LogReader.read(in, format, head.charset(), ALL, rows, done -> {}, () -> false);
            return new Read(format, report, rows);
        }
    }

    private static Read read(String text) throws IOException {
        return read(text.getBytes(StandardCharsets.UTF_8), null);
    }

    @Test
    void aPlainLogWithUnitsInItsNames() throws IOException {
        Read r = read(
                """
                Time (s),Speed (mph),RPM,Oil Temp (F),Coolant Temp (F),Oil Press (psi)
                0.0,50,4000,212,190,60
                0.1,51,4050,213,190,61
                0.2,52,4100,214,191,62
                """);
        assertThat(r.rows().channels)
                .containsExactlyInAnyOrder(
                        Channel.TIME, Channel.SPEED, Channel.RPM, Channel.OIL, Channel.COOLANT, Channel.PRESSURE);
        assertThat(r.report().rows()).isEqualTo(3);
        assertThat(r.rows().at(0, Channel.OIL)).isCloseTo(100, within(1e-9));
        assertThat(r.rows().at(0, Channel.SPEED)).isCloseTo(80.467, within(1e-3));
        assertThat(r.rows().at(0, Channel.PRESSURE)).isCloseTo(4.137, within(1e-3));
    }

    @Test
    void theAirAcrossTheCoreIsReadInItsUnits() throws IOException {
        Read r = read(
                """
                Time (s),Speed (km/h),Oil Temp (C),Oil Press (bar),Core dP (mbar)
                0.0,100,100,4.1,1.52
                0.1,101,100,4.1,1.55
                0.2,102,100,4.1,-0.2
                """);
        assertThat(r.rows().channels).contains(Channel.CORE_AIR, Channel.PRESSURE);
        assertThat(r.rows().at(0, Channel.CORE_AIR)).isCloseTo(152, within(1e-9));
        assertThat(r.rows().at(2, Channel.CORE_AIR))
                .as("a little less than nothing")
                .isZero();
        assertThat(r.rows().at(0, Channel.PRESSURE)).isCloseTo(4.1, within(1e-9));
    }

    @Test
    void turnsAMinuteAreTheEnginesWhateverTheColumnIsCalled() throws IOException {
        Read r = read(
                """
                Time [s],Speed [km/h],Engine [1/min],Oil temp [C]
                0.0,50,4000,100
                0.1,51,4050,101
                """);
        assertThat(r.rows().channels).contains(Channel.RPM);
        assertThat(r.rows().at(1, Channel.RPM)).isEqualTo(4050);
        Read named = read(
                """
                Time [s],Turbine [1/min],Engine speed [1/min],Oil temp [C]
                0.0,90000,4000,100
                0.1,91000,4050,101
                """);
        assertThat(named.rows().at(0, Channel.RPM))
                .as("a name says more than a unit")
                .isEqualTo(4000);
    }

    @Test
    void semicolonsDecimalCommasAPreambleAndALineOfUnits() throws IOException {
        Read r = read(
                """
                Logger;X
                Fahrer;Test
                Zeit;Geschwindigkeit;Drehzahl;Öltemp
                s;km/h;U/min;°C
                0,00;120,5;4500;98,5
                0,10;121,0;4510;98,6
                """);
        assertThat(r.format().decimalComma()).isTrue();
        assertThat(r.format().headerLine()).isEqualTo(3);
        assertThat(r.format().firstDataLine()).isEqualTo(5);
        assertThat(r.rows().at(1, Channel.OIL)).isEqualTo(98.6);
        assertThat(r.rows().at(1, Channel.TIME)).isCloseTo(0.1, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "time\toil temp~0\t90~100\t91~200\t92 | 0.2",
                "timestamp;oil temp~2026-05-01T10:00:00.000Z;90~2026-05-01T10:00:00.500Z;91~2026-05-01T10:00:01Z;92 | 1.0",
                "clock;oil temp~23:59:59,0;90~23:59:59,5;91~00:00:00,0;92 | 1.0",
                "time,oil temp~01:02.5,90~01:03.0,91~01:03.5,92 | 1.0",
                "oil temp,coolant~90,80~91,81~92,82 | 0.2",
            })
    void everyWayOfWritingTime(String text, double lasts) throws IOException {
        Read r = read(text.replace('~', '\n'));
        assertThat(r.report().rows()).isEqualTo(3);
        assertThat(r.report().spoiled()).isZero();
        assertThat(r.report().durationSeconds()).isCloseTo(lasts, within(1e-6));
        assertThat(r.rows().at(2, Channel.OIL)).isEqualTo(92);
    }

    @Test
    void aSpoiledRowIsReportedWithItsLineAndTheRestIsKept() throws IOException {
        Read r = read(
                """
                time,oil temp,speed
                0,90,50
                1,kaput,51
                x,91,52
                2,92
                1.5,93,53
                1.2,94,54
                3,,
                4,95,55
                """);
        assertThat(r.report().samples()).extracting(LogReport.SpoiledRow::line).containsExactly(4L, 5L, 7L, 8L);
        assertThat(r.report().samples().get(0).reason()).contains("time").contains("\"x\"");
        assertThat(r.report().samples().get(1).reason()).contains("2 columns, 3 are expected");
        assertThat(r.report().rows()).isEqualTo(4);
        assertThat(r.report().missingValues()).isEqualTo(1);
        assertThat(r.rows().at(1, Channel.OIL)).isNaN();
        assertThat(r.rows().at(1, Channel.SPEED)).isEqualTo(51);
    }

    @Test
    void gzipByteOrderMarkAndOldEncodings() throws IOException {
        String text = "time;Öltemp\n0;90\n1;91\n";
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (GZIPOutputStream gzip = new GZIPOutputStream(packed)) {
            gzip.write(("\uFEFF" + text).getBytes(StandardCharsets.UTF_8));
        }
        assertThat(read(packed.toByteArray(), null).rows().at(1, Channel.OIL)).isEqualTo(91);
        assertThat(read(text.getBytes(Charset.forName("windows-1252")), null)
                        .rows()
                        .at(1, Channel.OIL))
                .isEqualTo(91);
    }

    @Test
    void quotedNamesMayHoldTheDelimiter() throws IOException {
        Read r = read("\"time, s\",\"oil, temp\"\n0,90\n1,91\n");
        assertThat(r.format().columns()).hasSize(2);
        assertThat(r.rows().at(1, Channel.OIL)).isEqualTo(91);
    }

    @Test
    void aCorrectedFormatIsFollowed() throws IOException {
        String text = "a,b,c\n0,200,1\n1,210,2\n";
        LogFormat corrected = new LogFormat(
                LogFormat.Delimiter.COMMA,
                false,
                1,
                2,
                LogFormat.Time.NUMBER,
                null,
                List.of(
                        new LogFormat.Column("a", Channel.TIME, Channel.Unit.MIN),
                        new LogFormat.Column("b", Channel.OIL, Channel.Unit.F),
                        new LogFormat.Column("c", null, null)));
        Read r = read(text.getBytes(StandardCharsets.UTF_8), corrected);
        assertThat(r.report().durationSeconds()).isEqualTo(60);
        assertThat(r.rows().at(1, Channel.OIL)).isCloseTo(98.9, within(0.05));
        assertThat(r.rows().channels).containsExactly(Channel.TIME, Channel.OIL);
    }

    @Test
    void unitsAreGuessedFromTheSizeOfTheValuesWhereNoneStand() throws IOException {
        Read r = read("time,oil temp,oil press\n0,240,410\n100,241,412\n200,242,413\n");
        assertThat(r.format().columns())
                .extracting(LogFormat.Column::unit)
                .containsExactly(Channel.Unit.MS, Channel.Unit.F, Channel.Unit.KPA);
    }

    @Test
    void aLineWithoutEndIsRefusedBeforeItFillsTheMemory() {
        byte[] endless = ("time,oil temp\n0,90\n1," + "9".repeat(400_000)).getBytes(StandardCharsets.UTF_8);
        assertThatExceptionOfType(Exception.class)
                .isThrownBy(() -> read(endless, null))
                .withStackTraceContaining("A line is longer than");
    }

    @Test
    void anImportCanBeStopped() {
        StringBuilder text = new StringBuilder("time,oil temp\n");
        for (int i = 0; i < 10_000; i++) {
            text.append(i).append(",90\n");
        }
        byte[] bytes = text.toString().getBytes(StandardCharsets.UTF_8);
        LogFormat format = FormatFinder.find(List.of("time,oil temp", "0,90", "1,90"));
        assertThatExceptionOfType(CancellationException.class)
                .isThrownBy(() -> LogReader.read(
                        new ByteArrayInputStream(bytes),
                        format,
                        StandardCharsets.UTF_8,
                        ALL,
                        new Rows(),
                        done -> {},
                        () -> true));
    }

    @Test
    void aGpxTrackGivesSpeedAndHeight() throws Exception {
        StringBuilder gpx = new StringBuilder("<?xml version=\"1.0\"?><gpx version=\"1.1\"><trk><trkseg>");
        for (int i = 0; i < 5; i++) {
            // A thousandth of a degree of latitude in 4 s is 27.8 m/s.
            gpx.append(String.format(
                    java.util.Locale.ROOT,
                    "<trkpt lat=\"%.4f\" lon=\"8.0\"><ele>%d</ele><time>2026-05-01T10:00:%02dZ</time></trkpt>",
                    50 + i * 0.001,
                    300 + i,
                    i * 4));
        }
        gpx.append("<trkpt lat=\"70\" lon=\"8.0\"><time>2026-05-01T10:00:21Z</time></trkpt>");
        gpx.append("<trkpt lat=\"50.0\" lon=\"8.0\"></trkpt></trkseg></trk></gpx>");
        Rows rows = new Rows();
        LogReport report =
                GpxReader.read(new ByteArrayInputStream(gpx.toString().getBytes(StandardCharsets.UTF_8)), ALL, rows);
        assertThat(report.rows()).isEqualTo(5);
        assertThat(report.spoiled()).isEqualTo(2);
        assertThat(rows.at(3, Channel.SPEED)).isCloseTo(111.195 / 4 * 3.6, within(0.1));
        assertThat(rows.at(4, Channel.ELEVATION)).isEqualTo(304);
    }

    @Test
    void aGpxFileCannotReachOtherFiles() {
        String evil = "<?xml version=\"1.0\"?><!DOCTYPE gpx [<!ENTITY x SYSTEM \"file:///etc/passwd\">]>"
                + "<gpx><trk><trkseg><trkpt lat=\"1\" lon=\"2\"><time>&x;</time></trkpt></trkseg></trk></gpx>";
        assertThatExceptionOfType(javax.xml.stream.XMLStreamException.class)
                .isThrownBy(() -> GpxReader.read(
                        new ByteArrayInputStream(evil.getBytes(StandardCharsets.UTF_8)), ALL, new Rows()));
    }

    @Test
    void decimationKeepsEndsAndPeaks() {
        int n = 50_000;
        double[] x = new double[n];
        double[] y = new double[n];
        for (int i = 0; i < n; i++) {
            x[i] = i;
            y[i] = Math.sin(i / 900.0);
        }
        y[31_234] = 9;
        int[] kept = Decimation.largestTriangle(x, y, 400);
        assertThat(kept)
                .hasSize(400)
                .startsWith(0)
                .endsWith(n - 1)
                .contains(31_234)
                .isSorted();
        assertThat(Decimation.largestTriangle(new double[] {1, 2}, new double[] {1, 2}, 400))
                .containsExactly(0, 1);
    }

    @Test
    void piecesComeBackAsTheyWentIn() {
        double[][] columns = {{0.1, 36_000.123_456, 5e6}, {90.5, Double.NaN, -40}, {1, 2, 3}};
        byte[] piece = PieceCodec.encode(columns, 3);
        assertThat(PieceCodec.rows(piece)).isEqualTo(3);
        assertThat(PieceCodec.column(piece, 0)).containsExactly(columns[0]);
        assertThat(PieceCodec.column(piece, 1)).containsExactly(90.5, Double.NaN, -40);
        assertThat(PieceCodec.column(piece, 2)).containsExactly(1, 2, 3);
    }

    @Test
    void aFileUnpacksToItsBoundAndNoFurther() throws IOException {
        byte[] bytes = "time,oil\n0,90\n".getBytes(StandardCharsets.UTF_8);
        assertThat(Unpacked.of(new ByteArrayInputStream(bytes), bytes.length).readAllBytes())
                .isEqualTo(bytes);
        assertThatExceptionOfType(IOException.class)
                .isThrownBy(() -> Unpacked.of(new ByteArrayInputStream(bytes), bytes.length - 1)
                        .readAllBytes())
                .withMessageContaining("the most that is taken");
    }
}
