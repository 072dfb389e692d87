package isotherm.server.archive;

import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.store.LargeStore;
import java.io.Closeable;
import java.io.EOFException;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.RandomAccessFile;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.HashSet;
import java.util.Set;
import java.util.zip.CRC32;
import java.util.zip.CheckedInputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;

/**
 * A zip archive that came from anywhere. Nothing in it is believed: what is unpacked is counted and not what it says of itself,
 * and its names are only ever compared with names that are known already.
 */
final class Archive implements Closeable {
    /** Bytes of an archive that are taken at most. */
    static final long LARGEST_FILE = 1_000_000_000L;
    /** Bytes of a list of contents. */
    static final int LARGEST_LIST = 16_000_000;
    /** Bytes of one document. */
    static final int LARGEST_DOCUMENT = 8_000_000;
    /** Bytes of a book of entries. */
    static final int LARGEST_BOOK = 32_000_000;
    /** Bytes of the rows of one log. */
    static final long LARGEST_ROWS = 1_000_000_000L;
    /** Bytes that all files together unpack to at most. */
    private static final long MOST_UNPACKED = 8_000_000_000L;
    /** Bytes of a zip archive's own directory: some hundred thousand files. */
    private static final long LARGEST_DIRECTORY = 16_000_000;

    private static final int END_LENGTH = 22;
    private static final int END_MARK = 0x06054b50;
    private static final int SHOWN_LENGTH = 80;

    private final Path path;
    private final ZipFile zip;
    private long unpacked;

    private Archive(Path path, ZipFile zip) {
        this.path = path;
        this.zip = zip;
    }

    /**
     * @param in an archive
     * @return it on disk, until it is closed
     * @throws IOException when it cannot be read
     * @throws InvalidDocument when it is no zip archive
     * @throws LargeStore.TooLarge when there is too much of it
     */
    static Archive of(InputStream in) throws IOException {
        Path path = Files.createTempFile("isotherm-garage", ".zip");
        boolean open = false;
        try {
            try (var out = Files.newOutputStream(path)) {
                new Limited(in, LARGEST_FILE, "").transferTo(out);
            }
            checkDirectory(path);
            Archive archive = new Archive(path, new ZipFile(path.toFile(), StandardCharsets.UTF_8));
            open = true;
            return archive;
        } catch (ZipException e) {
            throw refused("", "This is no zip archive, or it is broken: " + e.getMessage());
        } finally {
            if (!open) {
                Files.delete(path);
            }
        }
    }

    /** The directory is read into memory: one that is too large for that is refused before. */
    private static void checkDirectory(Path path) throws IOException {
        try (RandomAccessFile file = new RandomAccessFile(path.toFile(), "r")) {
            int length = (int) Math.min(file.length(), END_LENGTH + 0xffff);
            byte[] tail = new byte[length];
            file.seek(file.length() - length);
            file.readFully(tail);
            ByteBuffer end = ByteBuffer.wrap(tail).order(ByteOrder.LITTLE_ENDIAN);
            for (int at = length - END_LENGTH; at >= 0; at--) {
                if (end.getInt(at) == END_MARK && at + END_LENGTH + (end.getShort(at + 20) & 0xffff) == length) {
                    if ((end.getInt(at + 12) & 0xffffffffL) > LARGEST_DIRECTORY) {
                        throw refused("", "This archive holds more files than a garage does");
                    }
                    return;
                }
            }
            throw refused("", "This is no zip archive, or its end is missing");
        }
    }

    @Override
    public void close() throws IOException {
        zip.close();
        Files.deleteIfExists(path);
    }

    /**
     * @param expected the files that it has to hold
     * @throws InvalidDocument when it holds others, one twice, or not all of them
     */
    void checkNames(Set<String> expected) {
        Set<String> there = new HashSet<>();
        Set<String> folders = new HashSet<>();
        for (String name : expected) {
            for (int slash = name.indexOf('/'); slash >= 0; slash = name.indexOf('/', slash + 1)) {
                folders.add(name.substring(0, slash + 1));
            }
        }
        for (ZipEntry entry : Collections.list(zip.entries())) {
            String name = entry.getName();
            if (!folders.contains(name) && !expected.contains(name)) {
                throw refused(
                        shown(name),
                        "This file does not stand in the archive's list of contents; an archive that holds others is not"
                                + " taken");
            }
            if (!there.add(name)) {
                throw refused(name, "This file is in the archive twice");
            }
        }
        for (String name : expected) {
            if (!there.contains(name)) {
                throw refused(name, "This file stands in the list of contents and is not in the archive");
            }
        }
    }

    private static String shown(String name) {
        String plain = name.replaceAll("\\p{Cntrl}", "?");
        return plain.length() <= SHOWN_LENGTH ? plain : plain.substring(0, SHOWN_LENGTH) + "…";
    }

    /** Reads a file of an archive. */
    interface Reading<T> {
        /**
         * @param in what is in it
         * @return what is made of that
         * @throws IOException when it cannot be read
         */
        T read(InputStream in) throws IOException;
    }

    /**
     * @param name a file
     * @param most bytes that it unpacks to at most
     * @param reading reads it to its end
     * @param <T> what is made of it
     * @return what was made of it
     * @throws IOException when the archive cannot be read
     * @throws InvalidDocument when it is not there, too large or damaged
     */
    <T> T read(String name, long most, Reading<T> reading) throws IOException {
        ZipEntry entry = zip.getEntry(name);
        if (entry == null) {
            throw refused(name, "This file is not in the archive");
        }
        Limited in = new Limited(zip.getInputStream(entry), Math.min(most, MOST_UNPACKED - unpacked), name);
        try (CheckedInputStream checked = new CheckedInputStream(in, new CRC32())) {
            T made = reading.read(checked);
            checked.transferTo(OutputStream.nullOutputStream());
            if (checked.getChecksum().getValue() != entry.getCrc()) {
                throw refused(name, "This file is damaged: its check sum is another one");
            }
            return made;
        } catch (ZipException | EOFException e) {
            throw refused(name, "This file is damaged: " + e.getMessage());
        } finally {
            unpacked += in.count;
        }
    }

    /**
     * @param name a file
     * @param most bytes that it unpacks to at most
     * @return what is in it as text
     * @throws IOException when the archive cannot be read
     */
    String text(String name, int most) throws IOException {
        byte[] bytes = read(name, most, InputStream::readAllBytes);
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .onUnmappableCharacter(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException e) {
            throw refused(name, "This file is not text in UTF-8");
        }
    }

    static InvalidDocument refused(String path, String message) {
        return Problem.refused(path, null, message);
    }

    /** Ends with an error where more comes than was agreed on. */
    private static final class Limited extends FilterInputStream {
        private final long most;
        private final String name;
        private long count;

        Limited(InputStream in, long most, String name) {
            super(in);
            this.most = most;
            this.name = name;
        }

        @Override
        public int read() throws IOException {
            int b = super.read();
            count(b < 0 ? 0 : 1);
            return b;
        }

        @Override
        public int read(byte[] buffer, int from, int length) throws IOException {
            int n = super.read(buffer, from, length);
            count(Math.max(0, n));
            return n;
        }

        @Override
        public long skip(long n) throws IOException {
            long skipped = super.skip(n);
            count(skipped);
            return skipped;
        }

        private void count(long n) {
            count += n;
            if (count > most) {
                throw name.isEmpty()
                        ? new LargeStore.TooLarge(LARGEST_FILE)
                        : refused(name, "This file unpacks to more than " + most + " bytes, the most that is taken");
            }
        }
    }
}
