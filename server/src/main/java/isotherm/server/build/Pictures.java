package isotherm.server.build;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.jobs.Busy;
import isotherm.server.store.LargeStore;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.Iterator;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;

/**
 * Pictures as they are kept: whatever comes is decoded and written anew as a JPEG, so that nothing but the picture itself is
 * left of it, no place, no camera, no hidden passenger.
 */
public final class Pictures {
    /** Bytes that are taken at most. */
    public static final long LARGEST_FILE = 15_000_000;
    /** Pixels of a picture that is thinned while it is decoded: more is refused before it is unpacked. */
    private static final long MOST_PIXELS = 60_000_000;
    /** Pixels of one that can only be decoded whole. */
    private static final long MOST_WHOLE_PIXELS = 16_000_000;
    /** A picture that takes longer was made to, ms. */
    private static final long PATIENCE_MS = 10_000;
    /** Pictures wait for each other so long, s. */
    private static final int TURN = 20;
    /** The longer side of a kept picture, pixels. */
    private static final int LONGEST_SIDE = 1800;

    private static final float QUALITY = 0.85f;
    /** Markers of a JPEG (ITU-T T.81, table B.1; JFIF 1.02 for the first segment). */
    private static final int START = 0xffd8;

    private static final int END = 0xffd9;
    private static final int SCAN = 0xffda;
    private static final int JFIF = 0xffe0;
    /** A JFIF segment without a thumbnail. */
    private static final int JFIF_LENGTH = 16;
    /** Quantisation, baseline frame, Huffman tables, restart interval. */
    private static final Set<Integer> TABLES = Set.of(0xffdb, 0xffc0, 0xffc4, 0xffdd);

    private static final Set<String> TAKEN = Set.of("jpeg", "png", "webp");
    /** Decoders that pass over pixels which are not wanted. */
    private static final Set<String> THINNED = Set.of("jpeg", "png");
    /** One at a time: a picture fills a good part of the memory while it is decoded. */
    private static final Semaphore ONE = new Semaphore(1, true);

    static {
        // Pictures are small enough for memory; the disk is not to hold them.
        ImageIO.setUseCache(false);
    }

    private Pictures() {}

    /**
     * @param in a JPEG, PNG or WebP as somebody sends it
     * @return the same picture as a JPEG, upright, of at most 1800 pixels, without anything else
     * @throws IOException when it cannot be read
     * @throws LargeStore.TooLarge when it is larger than what is taken
     * @throws InvalidDocument when it is none of these, or broken
     */
    public static byte[] taken(InputStream in) throws IOException {
        byte[] data = in.readNBytes((int) LARGEST_FILE + 1);
        if (data.length > LARGEST_FILE) {
            throw new LargeStore.TooLarge(LARGEST_FILE);
        }
        return clean(data);
    }

    /**
     * @param data a JPEG, PNG or WebP
     * @return the same picture as a JPEG, upright, of at most 1800 pixels, without anything else
     * @throws InvalidDocument when it is none of these, broken, or too large
     */
    static byte[] clean(byte[] data) {
        try {
            if (!ONE.tryAcquire(TURN, TimeUnit.SECONDS)) {
                throw new Busy("Many pictures come in at once. Try again in a moment.");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Busy("The server stops.");
        }
        try {
            return cleaned(data);
        } finally {
            ONE.release();
        }
    }

    private static byte[] cleaned(byte[] data) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(data))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw refused("This is no picture that can be read here: JPEG, PNG and WebP are taken");
            }
            ImageReader reader = readers.next();
            try {
                String format = reader.getFormatName().toLowerCase(Locale.ROOT);
                if (!TAKEN.contains(format)) {
                    throw refused("Pictures are taken as JPEG, PNG or WebP, not as " + reader.getFormatName());
                }
                reader.setInput(in, true, true);
                long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
                long most = THINNED.contains(format) ? MOST_PIXELS : MOST_WHOLE_PIXELS;
                if (pixels > most) {
                    throw refused("This picture has more than " + most / 1_000_000 + " million pixels, the most that is"
                            + " taken as " + reader.getFormatName());
                }
                return jpeg(upright(decoded(reader), orientation(data)));
            } finally {
                reader.dispose();
            }
        } catch (IOException | IndexOutOfBoundsException | IllegalArgumentException | NegativeArraySizeException e) {
            throw refused("This picture is broken and cannot be read");
        }
    }

    /** Decodes no more pixels than are kept, and gives up on a picture that was made to take long. */
    private static BufferedImage decoded(ImageReader reader) throws IOException {
        ImageReadParam how = reader.getDefaultReadParam();
        int every = Math.max(1, Math.max(reader.getWidth(0), reader.getHeight(0)) / LONGEST_SIDE);
        how.setSourceSubsampling(every, every, 0, 0);
        Deadline deadline = new Deadline(System.currentTimeMillis() + PATIENCE_MS);
        deadline.watch(reader);
        BufferedImage image = reader.read(0, how);
        if (deadline.isOver()) {
            throw refused("This picture takes too long to decode: save it anew as a plain JPEG and send that");
        }
        return image;
    }

    /**
     * @param data a picture that was kept as {@link #clean} makes it, or any other
     * @return the same bytes when it is a sound JPEG with nothing in it but the picture; otherwise it is made clean
     * @throws InvalidDocument when it cannot be
     */
    public static byte[] kept(byte[] data) {
        byte[] clean = clean(data);
        return plain(data) ? data : clean;
    }

    /** Whether there is nothing between the start and the end of a JPEG but tables, the frame and one scan. */
    private static boolean plain(byte[] data) {
        if (data.length < 4 || marker(data, 0) != START || marker(data, data.length - 2) != END) {
            return false;
        }
        int at = 2;
        while (at + 4 < data.length && marker(data, at) != SCAN) {
            int length = (data[at + 2] & 0xff) << 8 | data[at + 3] & 0xff;
            boolean jfif = marker(data, at) == JFIF && length == JFIF_LENGTH;
            if (!jfif && !TABLES.contains(marker(data, at))) {
                return false;
            }
            at += 2 + length;
        }
        // In a scan every 0xFF is followed by 0 or a restart: the first other marker is its end.
        for (; at + 2 < data.length; at++) {
            if (marker(data, at) == END) {
                return false;
            }
        }
        return at + 2 == data.length;
    }

    private static int marker(byte[] data, int at) {
        return (data[at] & 0xff) << 8 | data[at + 1] & 0xff;
    }

    private static InvalidDocument refused(String words) {
        return Problem.refused("/picture", null, words);
    }

    /** How a camera was held, 1 to 8 as EXIF counts it; 1 where nothing says so. */
    private static int orientation(byte[] data) {
        try {
            var directory = ImageMetadataReader.readMetadata(new ByteArrayInputStream(data))
                    .getFirstDirectoryOfType(ExifIFD0Directory.class);
            return directory != null && directory.containsTag(ExifIFD0Directory.TAG_ORIENTATION)
                    ? directory.getInt(ExifIFD0Directory.TAG_ORIENTATION)
                    : 1;
        } catch (ImageProcessingException | MetadataException | IOException e) {
            return 1;
        }
    }

    private static BufferedImage upright(BufferedImage image, int orientation) {
        double scale = Math.min(1, (double) LONGEST_SIDE / Math.max(image.getWidth(), image.getHeight()));
        int w = Math.max(1, (int) Math.round(image.getWidth() * scale));
        int h = Math.max(1, (int) Math.round(image.getHeight() * scale));
        boolean lying = orientation >= 5;
        BufferedImage out = new BufferedImage(lying ? h : w, lying ? w : h, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = out.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, out.getWidth(), out.getHeight());
        AffineTransform turn =
                switch (orientation) {
                    case 2 -> new AffineTransform(-1, 0, 0, 1, w, 0);
                    case 3 -> new AffineTransform(-1, 0, 0, -1, w, h);
                    case 4 -> new AffineTransform(1, 0, 0, -1, 0, h);
                    case 5 -> new AffineTransform(0, 1, 1, 0, 0, 0);
                    case 6 -> new AffineTransform(0, 1, -1, 0, h, 0);
                    case 7 -> new AffineTransform(0, -1, -1, 0, h, w);
                    case 8 -> new AffineTransform(0, -1, 1, 0, 0, w);
                    default -> new AffineTransform();
                };
        g.transform(turn);
        g.drawImage(image, 0, 0, w, h, null);
        g.dispose();
        return out;
    }

    private static byte[] jpeg(BufferedImage image) throws IOException {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (var out = ImageIO.createImageOutputStream(bytes)) {
            writer.setOutput(out);
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionQuality(QUALITY);
            writer.write(null, new IIOImage(image, null, null), how);
        } finally {
            writer.dispose();
        }
        return bytes.toByteArray();
    }
}
