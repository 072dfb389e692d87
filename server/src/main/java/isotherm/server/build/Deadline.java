package isotherm.server.build;

import java.lang.reflect.Proxy;
import javax.imageio.ImageReader;
import javax.imageio.event.IIOReadProgressListener;
import javax.imageio.event.IIOReadUpdateListener;

/** Stops a decoder when its time is over: a small file can be made to be decoded a thousand times over. */
final class Deadline {
    private final long until;
    private boolean over;

    /** @param until when its time is over, ms since 1970 */
    Deadline(long until) {
        this.until = until;
    }

    boolean isOver() {
        return over;
    }

    /** Whatever a decoder tells of its progress, the clock is looked at; it may only be stopped from its own thread. */
    void watch(ImageReader reader) {
        Object listener = Proxy.newProxyInstance(
                Deadline.class.getClassLoader(),
                new Class<?>[] {IIOReadProgressListener.class, IIOReadUpdateListener.class},
                (self, told, arguments) -> {
                    if (!told.getName().equals("imageComplete") && System.currentTimeMillis() > until) {
                        over = true;
                        reader.abort();
                    }
                    return null;
                });
        reader.addIIOReadProgressListener((IIOReadProgressListener) listener);
        reader.addIIOReadUpdateListener((IIOReadUpdateListener) listener);
    }
}
