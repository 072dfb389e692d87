package isotherm.server.build;

import java.awt.image.BufferedImage;
import javax.imageio.ImageReader;
import javax.imageio.event.IIOReadProgressListener;
import javax.imageio.event.IIOReadUpdateListener;

/** Stops a decoder when its time is over: a small file can be made to be decoded a thousand times over. */
final class Deadline implements IIOReadProgressListener, IIOReadUpdateListener {
    private final long until;
    private boolean over;

    /** @param until when its time is over, ms since 1970 */
    Deadline(long until) {
        this.until = until;
    }

    boolean isOver() {
        return over;
    }

    private void look(ImageReader reader) {
        if (System.currentTimeMillis() > until) {
            over = true;
            reader.abort();
        }
    }

    @Override
    public void imageProgress(ImageReader reader, float percentage) {
        look(reader);
    }

    @Override
    public void passStarted(
            ImageReader reader,
            BufferedImage image,
            int pass,
            int firstPass,
            int lastPass,
            int left,
            int top,
            int everyX,
            int everyY,
            int[] bands) {
        look(reader);
    }

    @Override
    public void imageUpdate(
            ImageReader reader,
            BufferedImage image,
            int left,
            int top,
            int width,
            int height,
            int everyX,
            int everyY,
            int[] bands) {
        look(reader);
    }

    @Override
    public void passComplete(ImageReader reader, BufferedImage image) {
        look(reader);
    }

    @Override
    public void sequenceStarted(ImageReader reader, int first) {
        look(reader);
    }

    @Override
    public void sequenceComplete(ImageReader reader) {
        look(reader);
    }

    @Override
    public void imageStarted(ImageReader reader, int image) {
        look(reader);
    }

    @Override
    public void imageComplete(ImageReader reader) {
        // What is decoded is not thrown away for having come late.
    }

    @Override
    public void thumbnailStarted(ImageReader reader, int image, int thumbnail) {
        look(reader);
    }

    @Override
    public void thumbnailProgress(ImageReader reader, float percentage) {
        look(reader);
    }

    @Override
    public void thumbnailComplete(ImageReader reader) {
        look(reader);
    }

    @Override
    public void thumbnailPassStarted(
            ImageReader reader,
            BufferedImage image,
            int pass,
            int firstPass,
            int lastPass,
            int left,
            int top,
            int everyX,
            int everyY,
            int[] bands) {
        look(reader);
    }

    @Override
    public void thumbnailUpdate(
            ImageReader reader,
            BufferedImage image,
            int left,
            int top,
            int width,
            int height,
            int everyX,
            int everyY,
            int[] bands) {
        look(reader);
    }

    @Override
    public void thumbnailPassComplete(ImageReader reader, BufferedImage image) {
        look(reader);
    }

    @Override
    public void readAborted(ImageReader reader) {
        over = true;
    }
}
