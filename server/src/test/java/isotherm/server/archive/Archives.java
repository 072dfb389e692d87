package isotherm.server.archive;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;

/** Garage files taken apart, changed and packed again. */
final class Archives {
    private Archives() {}

    /** Files of an archive by their names, in their order. */
    static Map<String, byte[]> unpacked(byte[] archive) {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(archive))) {
            for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                files.put(e.getName(), zip.readAllBytes());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return files;
    }

    static byte[] packed(Map<String, byte[]> files) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (var f : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(f.getKey()));
                zip.write(f.getValue());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    static String only(Map<String, byte[]> files, String part) {
        return files.keySet().stream().filter(n -> n.contains(part)).findFirst().orElseThrow();
    }

    /** A garage's file with something done to it, under identities that are not there yet. */
    static byte[] changed(byte[] archive, Consumer<Map<String, byte[]>> change) {
        Map<String, byte[]> files = new LinkedHashMap<>();
        Map<String, String> fresh = new LinkedHashMap<>();
        UnaryOperator<String> renamed = text -> Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}")
                .matcher(text)
                .replaceAll(m ->
                        fresh.computeIfAbsent(m.group(), id -> UUID.randomUUID().toString()));
        unpacked(archive)
                .forEach((name, data) -> files.put(
                        renamed.apply(name),
                        name.endsWith(".jpg")
                                ? data
                                : renamed.apply(new String(data, StandardCharsets.UTF_8))
                                        .getBytes(StandardCharsets.UTF_8)));
        change.accept(files);
        return packed(files);
    }

    static void edit(Map<String, byte[]> files, String part, UnaryOperator<String> edit) {
        files.computeIfPresent(only(files, part), (name, data) -> {
            String before = new String(data, StandardCharsets.UTF_8);
            String after = edit.apply(before);
            assertThat(after).as("the change has to change something").isNotEqualTo(before);
            return after.getBytes(StandardCharsets.UTF_8);
        });
    }
}
