package isotherm.server.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import isotherm.server.contract.InvalidDocument;
import isotherm.server.jobs.Busy;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is kept of a picture is the picture, and nothing else. Alone, for it measures the memory. */
@Isolated
class PicturesTest {
    /** A WebP of one red pixel, lossless. */
    private static final String WEBP = "UklGRhoAAABXRUJQVlA4TA0AAAAvAAAAEAcQERGIiP4HAA==";

    /** Red on the left, blue on the right. */
    private static BufferedImage halves(int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int x = 0; x < width; x++) {
            for (int y = 0; y < height; y++) {
                image.setRGB(x, y, (x < width / 2 ? Color.RED : Color.BLUE).getRGB());
            }
        }
        return image;
    }

    private static byte[] written(BufferedImage image, String format) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    private static BufferedImage read(byte[] data) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(data));
    }

    /** Puts an EXIF segment with an orientation, and a place in its text, behind the beginning of a JPEG. */
    private static byte[] withExif(byte[] jpeg, int orientation) {
        byte[] tiff = ByteBuffer.allocate(26)
                .put("MM\0*".getBytes(StandardCharsets.ISO_8859_1))
                .putInt(8)
                .putShort((short) 1)
                .putShort((short) 0x0112)
                .putShort((short) 3)
                .putInt(1)
                .putShort((short) orientation)
                .putShort((short) 0)
                .putInt(0)
                .array();
        byte[] place = "GPS 54.1 N".getBytes(StandardCharsets.US_ASCII);
        int length = 2 + 6 + tiff.length + place.length;
        return ByteBuffer.allocate(jpeg.length + 2 + length)
                .put(jpeg, 0, 2)
                .putShort((short) 0xFFE1)
                .putShort((short) length)
                .put("Exif\0\0".getBytes(StandardCharsets.ISO_8859_1))
                .put(tiff)
                .put(place)
                .put(jpeg, 2, jpeg.length - 2)
                .array();
    }

    @ParameterizedTest
    @ValueSource(strings = {"png", "jpg"})
    void aPictureIsKeptAsAJpegOfModestSize(String format) throws IOException {
        BufferedImage kept = read(Pictures.clean(written(halves(2400, 1200), format)));
        assertThat(kept.getWidth()).isEqualTo(1800);
        assertThat(kept.getHeight()).isEqualTo(900);
        assertThat(new Color(kept.getRGB(100, 100)).getRed()).isGreaterThan(200);
    }

    @Test
    void webpIsTaken() throws IOException {
        BufferedImage kept = read(Pictures.clean(Base64.getDecoder().decode(WEBP)));
        assertThat(kept.getWidth()).isEqualTo(1);
    }

    @Test
    void whereAndHowItWasTakenIsGoneAndItStandsUpright() throws IOException {
        byte[] taken = withExif(written(halves(80, 40), "jpg"), 6);
        byte[] clean = Pictures.clean(taken);
        assertThat(new String(taken, StandardCharsets.ISO_8859_1)).contains("GPS 54.1 N");
        assertThat(new String(clean, StandardCharsets.ISO_8859_1)).doesNotContain("GPS 54.1 N", "Exif");
        BufferedImage kept = read(clean);
        assertThat(kept.getWidth()).isEqualTo(40);
        assertThat(new Color(kept.getRGB(20, 5)).getRed())
                .as("its left has become its top")
                .isGreaterThan(200);
        assertThat(new Color(kept.getRGB(20, 75)).getBlue()).isGreaterThan(200);
    }

    @Test
    void whatIsNoPictureIsRefusedWithItsReason() throws IOException {
        byte[] png = written(halves(200, 200), "png");
        assertThatThrownBy(() -> Pictures.clean("<svg/>".getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(InvalidDocument.class)
                .hasMessageContaining("JPEG, PNG and WebP");
        assertThatThrownBy(() -> Pictures.clean(written(halves(20, 20), "gif")))
                .isInstanceOf(InvalidDocument.class)
                .hasMessageContaining("not as gif");
        assertThatThrownBy(() -> Pictures.clean(Arrays.copyOf(png, png.length / 2)))
                .isInstanceOf(InvalidDocument.class)
                .hasMessageContaining("broken");
        assertThatThrownBy(() -> Pictures.clean(new byte[0])).isInstanceOf(InvalidDocument.class);
    }

    @Test
    void aPictureThatUnpacksToFarTooMuchIsRefusedBeforehand() throws IOException {
        byte[] png = written(halves(10, 10), "png");
        // Width and height stand in the first chunk.
        ByteBuffer.wrap(png).putInt(16, 60_000).putInt(20, 60_000);
        assertThatThrownBy(() -> Pictures.clean(png))
                .isInstanceOf(InvalidDocument.class)
                .hasMessageContaining("60 million");
    }

    @Test
    void aPictureThatWasMadeCleanIsKeptAsItIs() throws IOException {
        byte[] clean = Pictures.clean(written(halves(60, 40), "png"));
        assertThat(Pictures.kept(clean)).isSameAs(clean);
    }

    @Test
    void aPassengerInAPictureIsLeftBehind() throws IOException {
        byte[] clean = Pictures.clean(written(halves(60, 40), "png"));
        byte[] passenger = "GPS 54.1 N".getBytes(StandardCharsets.US_ASCII);
        byte[] behind = Arrays.copyOf(clean, clean.length + passenger.length + 2);
        System.arraycopy(passenger, 0, behind, clean.length, passenger.length);
        behind[behind.length - 2] = (byte) 0xff;
        behind[behind.length - 1] = (byte) 0xd9;
        for (byte[] carrier : List.of(withExif(clean, 1), behind)) {
            byte[] kept = Pictures.kept(carrier);
            assertThat(new String(kept, StandardCharsets.ISO_8859_1)).doesNotContain("GPS 54.1 N");
            assertThat(read(kept).getWidth()).isEqualTo(60);
        }
        assertThatThrownBy(() -> Pictures.kept("<svg/>".getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(InvalidDocument.class);
    }

    @Test
    void aPictureOfManyPixelsIsThinnedWhileItIsDecoded() throws IOException {
        // A plain one packs to little: what counts is what it unpacks to.
        BufferedImage large = new BufferedImage(9000, 6400, BufferedImage.TYPE_BYTE_GRAY);
        byte[] png = written(large, "png");
        assertThat(png.length).isLessThan(500_000);
        BufferedImage kept = read(Pictures.clean(png));
        assertThat(Math.max(kept.getWidth(), kept.getHeight())).isEqualTo(1800);
    }

    /** As a page does that is told to try again in a moment. */
    private static byte[] insisting(byte[] picture) {
        while (true) {
            try {
                return Pictures.clean(picture);
            } catch (Busy e) {
                LockSupport.parkNanos(50_000_000);
            }
        }
    }

    /** How many threads are at it, by what they are doing. */
    private static long decoding() {
        return Thread.getAllStackTraces().values().stream()
                .filter(stack -> Arrays.stream(stack)
                        .anyMatch(at -> at.getClassName().equals(Pictures.class.getName())
                                && at.getMethodName().equals("decoded")))
                .count();
    }

    @Test
    void picturesAreDecodedOneAtATime() throws Exception {
        byte[] png = written(new BufferedImage(7000, 6000, BufferedImage.TYPE_BYTE_GRAY), "png");
        Runtime runtime = Runtime.getRuntime();
        System.gc();
        long before = runtime.totalMemory() - runtime.freeMemory();
        AtomicLong most = new AtomicLong();
        AtomicLong atOnce = new AtomicLong();
        Thread watch = new Thread(() -> {
            while (!Thread.currentThread().isInterrupted()) {
                most.accumulateAndGet(runtime.totalMemory() - runtime.freeMemory(), Math::max);
                atOnce.accumulateAndGet(decoding(), Math::max);
                LockSupport.parkNanos(5_000_000);
            }
        });
        watch.setDaemon(true);
        watch.start();
        var six = IntStream.range(0, 6)
                .mapToObj(i -> CompletableFuture.supplyAsync(() -> insisting(png), task -> new Thread(task).start()))
                .toList();
        for (var one : six) {
            assertThat(one.get()).isNotEmpty();
        }
        watch.interrupt();
        assertThat(atOnce.get()).isEqualTo(1);
        assertThat(most.get() - before).as("twelve took 6.5 GB once").isLessThan(500_000_000L);
    }

    @Test
    void aDecoderIsStoppedWhenItsTimeIsOver() throws IOException {
        byte[] jpeg = written(halves(1200, 900), "jpeg");
        var reader = ImageIO.getImageReadersByFormatName("jpeg").next();
        reader.setInput(ImageIO.createImageInputStream(new ByteArrayInputStream(jpeg)), true, true);
        Deadline past = new Deadline(System.currentTimeMillis() - 1);
        past.watch(reader);
        reader.read(0);
        assertThat(past.isOver()).isTrue();
        Deadline ahead = new Deadline(System.currentTimeMillis() + 60_000);
        reader.removeAllIIOReadProgressListeners();
        reader.removeAllIIOReadUpdateListeners();
        reader.setInput(ImageIO.createImageInputStream(new ByteArrayInputStream(jpeg)), true, true);
        ahead.watch(reader);
        reader.read(0);
        assertThat(ahead.isOver()).isFalse();
        reader.dispose();
    }
}
