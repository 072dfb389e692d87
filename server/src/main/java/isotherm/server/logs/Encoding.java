package isotherm.server.logs;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;

/** Finds out how the bytes of a text file are written: UTF-8, UTF-16 with or without its mark, or Windows' western set. */
final class Encoding {
    private static final int LOOKED_AT = 2000;
    /** Text in UTF-16 of the languages that loggers speak has a zero in nearly every other byte. */
    private static final double MOSTLY = 0.4;

    private Encoding() {}

    /**
     * @param head the first bytes of a file
     * @param whole whether that is all of it; otherwise its last character may be cut in two
     * @return how they are written
     */
    static Charset of(byte[] head, boolean whole) {
        if (head.length >= 2 && (head[0] & 0xff) == 0xff && (head[1] & 0xff) == 0xfe) {
            return StandardCharsets.UTF_16LE;
        }
        if (head.length >= 2 && (head[0] & 0xff) == 0xfe && (head[1] & 0xff) == 0xff) {
            return StandardCharsets.UTF_16BE;
        }
        int looked = Math.min(head.length, LOOKED_AT) / 2 * 2;
        int even = 0;
        int odd = 0;
        for (int i = 0; i < looked; i += 2) {
            even += head[i] == 0 ? 1 : 0;
            odd += head[i + 1] == 0 ? 1 : 0;
        }
        if (odd > MOSTLY * looked / 2 && even == 0) {
            return StandardCharsets.UTF_16LE;
        }
        if (even > MOSTLY * looked / 2 && odd == 0) {
            return StandardCharsets.UTF_16BE;
        }
        int length = head.length;
        while (!whole && length > 0 && length > head.length - 4 && head[length - 1] < 0) {
            length--;
        }
        try {
            StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(head, 0, length));
            return StandardCharsets.UTF_8;
        } catch (CharacterCodingException e) {
            return Charset.forName("windows-1252");
        }
    }
}
