package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.nose.Template;
import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The template, printed and measured. */
class TemplateApiTest {
    private static final RunningServer SERVER = RunningServer.get();
    private static final JsonMapper JSON = new JsonMapper();
    private static final int DPI = 200;
    private static final int DARK = 150;

    @TempDir
    private Path folder;

    private List<BufferedImage> pages(String paper) throws IOException, InterruptedException {
        Path pdf = folder.resolve("template.pdf");
        Files.write(pdf, SERVER.bytes("POST", "/api/template/pdf?paper=" + paper, Examples.read("placement")));
        int code = new ProcessBuilder(
                        "pdftoppm",
                        "-r",
                        String.valueOf(DPI),
                        "-png",
                        pdf.toString(),
                        folder.resolve("page").toString())
                .inheritIO()
                .start()
                .waitFor();
        assertThat(code).isZero();
        try (Stream<Path> files = Files.list(folder)) {
            List<BufferedImage> images = new ArrayList<>();
            for (Path p :
                    files.filter(f -> f.toString().endsWith(".png")).sorted().toList()) {
                images.add(ImageIO.read(p.toFile()));
            }
            return images;
        }
    }

    /** Centres of the scale bar's marks on a page, px: short upright strokes above the longest unbroken level one. */
    private static List<Double> marks(BufferedImage page) {
        int barRow = -1;
        int longest = 0;
        for (int y = 0; y < page.getHeight(); y++) {
            int run = 0;
            int[] row = row(page, y);
            for (int x = 0; x < row.length; x++) {
                run = row[x] < DARK ? run + 1 : 0;
                if (run > longest) {
                    longest = run;
                    barRow = y;
                }
            }
        }
        int at = barRow - (int) (0.7 * Template.MARK_HEIGHT / 25.4 * DPI);
        List<Double> centres = new ArrayList<>();
        int from = -1;
        int[] row = row(page, at);
        for (int x = 0; x <= row.length; x++) {
            boolean dark = x < row.length && row[x] < DARK;
            if (dark && from < 0) {
                from = x;
            } else if (!dark && from >= 0) {
                centres.add((from + x - 1) / 2.0);
                from = -1;
            }
        }
        return centres;
    }

    /** The blue of a row's pixels. */
    private static int[] row(BufferedImage page, int y) {
        int blue = page.getRaster().getNumBands() - 1;
        return page.getRaster().getSamples(0, y, page.getWidth(), 1, blue, (int[]) null);
    }

    @Test
    void threeHundredMillimetresMeasureRightOnOneSheet() throws IOException, InterruptedException {
        List<BufferedImage> pages = pages("SHEET");
        assertThat(pages).hasSize(1);
        List<Double> marks = marks(pages.get(0));
        assertThat(marks).hasSize(31);
        double mm = (marks.get(30) - marks.get(0)) / DPI * 25.4;
        assertThat(mm).isCloseTo(300, within(0.5));
    }

    @ParameterizedTest
    @ValueSource(strings = {"A4", "LETTER"})
    void tilesMeasureRightAndHoldTheWholeBarTogether(String paper) throws IOException, InterruptedException {
        List<BufferedImage> pages = pages(paper);
        assertThat(pages.size()).isGreaterThan(1);
        int widest = 0;
        for (BufferedImage page : pages) {
            List<Double> marks = marks(page);
            if (marks.size() > 3 && Math.abs(marks.get(1) - marks.get(0) - 10 / 25.4 * DPI) < 2) {
                widest = Math.max(widest, marks.size());
                double mm = (marks.get(marks.size() - 1) - marks.get(0)) / DPI * 25.4;
                assertThat(mm).isCloseTo(10.0 * (marks.size() - 1), within(0.5));
            }
        }
        assertThat(widest).isGreaterThan(8);
    }

    @Test
    void svgAndDxfHoldTheOutlineInMillimetres() {
        String svg = SERVER.send("POST", "/api/template/svg", Examples.read("placement"))
                .body();
        assertThat(svg).startsWith("<svg").contains("mm\"").contains("<circle");
        String dxf = SERVER.send("POST", "/api/template/dxf", Examples.read("placement"))
                .body();
        assertThat(dxf)
                .startsWith("0\nSECTION")
                .endsWith("0\nEOF\n")
                .contains("OUTLINE")
                .contains("CIRCLE");
    }

    @Test
    void aNameIsDrawnAsItIsAndNotAsMarkup() {
        ObjectNode asked = (ObjectNode) JSON.readTree(Examples.read("placement"));
        ((ObjectNode) asked.get("design")).put("name", "<script>alert(1)</script> & more");
        String svg = SERVER.send("POST", "/api/template/svg", asked.toString()).body();
        assertThat(svg).doesNotContain("<script>").contains("&lt;script&gt;").contains("&amp; more");
    }

    @Test
    void withoutANoseTheProblemIsNamed() {
        ObjectNode asked = (ObjectNode) JSON.readTree(Examples.read("placement"));
        ((ObjectNode) asked.get("car")).remove("nose");
        var answer = SERVER.send("POST", "/api/placement", asked.toString());
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("/car/nose");
    }
}
