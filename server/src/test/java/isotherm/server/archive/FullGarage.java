package isotherm.server.archive;

import static isotherm.server.testing.Wren.entry;
import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.testing.OwnServer;
import isotherm.server.testing.RunningServer;
import isotherm.server.testing.Wren;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.UUID;
import javax.imageio.ImageIO;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A garage with one of everything that a file of it holds. */
final class FullGarage {
    private static final JsonMapper JSON = new JsonMapper();

    private FullGarage() {}

    /**
     * @param server an empty garage, which is filled
     * @param ofTheCar identity of the picture of the car
     * @param breaks stands in a note of the build
     */
    static void fill(RunningServer server, String ofTheCar, String breaks) throws IOException {
        Wren wren = new Wren(server);
        wren.posted(wren.car() + "/duties", wren.demo().get("duties").get(0));
        wren.posted(wren.car() + "/designs", wren.demo().get("designs").get(0));
        wren.posted(wren.car() + "/designs", wren.demo().get("designs").get(1));
        keepLog(server, wren);
        assertThat(server.put(wren.car() + "/pictures/" + ofTheCar, picture(), "image/png")
                        .statusCode())
                .isEqualTo(204);
        ObjectNode moved = (ObjectNode) wren.demo().get("designs").get(1).deepCopy();
        moved.put("name", "with its horn moved");
        moved.putArray("relocations")
                .addObject()
                .put("name", "horn")
                .put("what", "MOVED")
                .put("picture", ofTheCar);
        wren.posted(wren.car() + "/designs", moved);
        String build = wren.begin("Winter build", 1.4);
        String picture = UUID.randomUUID().toString();
        assertThat(server.put(build + "/pictures/" + picture, picture(), "image/png")
                        .statusCode())
                .isEqualTo(204);
        wren.posted(build + "/entries", entry("PICTURE", "prepare-parts").put("text", picture));
        ObjectNode tick = entry("DONE", "prepare-parts");
        wren.posted(build + "/entries", tick);
        wren.posted(
                build + "/entries",
                entry("NOTE", "prepare-parts").put("text", "links: „groß“\nand a second line" + breaks));
        wren.posted(wren.car() + "/care/entries", entry("OIL_ANALYSIS", null).put("text", "iron 12 ppm"));
        JsonNode core = JSON.readTree(
                        server.send("GET", "/api/catalogue/cores", null).body())
                .get(0)
                .get("part");
        String price =
                core.get("maker").stringValue() + "," + core.get("number").stringValue() + ",99";
        assertThat(server.sendText("/api/catalogue/cores/import?keep=true", "maker,number,price\n" + price)
                        .body())
                .contains("\"changed\":1");
    }

    private static void keepLog(RunningServer server, Wren wren) {
        StringBuilder rows = new StringBuilder("time_s,speed_kmh,oil_c\n");
        for (int i = 0; i < 9_000; i++) {
            rows.append(i / 10.0)
                    .append(',')
                    .append(i % 7 == 3 ? "" : 60 + i % 90 / 3.0)
                    .append(',')
                    .append(80 + i % 1000 / 70.0)
                    .append('\n');
        }
        JsonNode upload = JSON.readTree(server.upload(wren.car() + "/uploads?name=evening.csv", rows.toString())
                .body());
        String job = wren.keeping(upload, "Evening");
        OwnServer.until(() -> server.send("GET", job, null).body().contains("DONE"));
        assertThat(server.send("GET", wren.car(), null).body()).contains("Evening");
    }

    private static byte[] picture() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }
}
