package isotherm.server.testing;

import isotherm.server.IsothermServer;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.jar.Attributes;
import java.util.jar.JarEntry;
import java.util.jar.JarOutputStream;
import java.util.jar.Manifest;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * This very build as a program of the name that the launcher looks for, with its classes as they lie in memory: a start takes
 * half of the processor time that one from folders of classes takes. Made once for all processes of tests.
 */
public final class Program {
    private static final Path FOLDER = Path.of("target", "program").toAbsolutePath();
    private static final Path JAR = FOLDER.resolve("isotherm.jar");
    private static final Path SHARED = FOLDER.resolve("isotherm.jsa");

    private Program() {}

    /** @return the folder in which it lies, with its classes as they lie in memory, for the launcher */
    public static Path folder() {
        return locked(() -> FOLDER);
    }

    /**
     * @param options options of the virtual machine
     * @param settings settings of the application that reach a database, as on its command line
     * @return a command that starts it
     */
    public static List<String> command(List<String> options, List<String> settings) {
        List<String> all = new ArrayList<>(options);
        all.add("-XX:SharedArchiveFile=" + SHARED);
        return locked(() -> started(all, settings));
    }

    private interface Step<T> {
        T run() throws IOException, InterruptedException;
    }

    private static synchronized <T> T locked(Step<T> step) {
        try {
            Files.createDirectories(FOLDER);
            try (FileChannel lock =
                    FileChannel.open(FOLDER.resolve("lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
                lock.lock();
                pack();
                if (!Files.exists(SHARED)) {
                    share();
                }
                return step.run();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static List<String> started(List<String> options, List<String> settings) {
        List<String> all = new ArrayList<>();
        all.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        all.add("-XX:TieredStopAtLevel=1");
        all.add("-Dspring.aot.enabled=true");
        all.addAll(options);
        all.addAll(List.of("-jar", JAR.toString()));
        all.addAll(settings);
        return all;
    }

    private static void share() throws IOException, InterruptedException {
        List<String> settings = new ArrayList<>(RunningServer.reaching(RunningServer.fresh(database -> {})));
        settings.add("--server.port=0");
        Path fresh = FOLDER.resolve("isotherm.jsa.new");
        List<String> all = started(
                List.of("-XX:ArchiveClassesAtExit=" + fresh, "-Xlog:disable", "-Dspring.context.exit=onRefresh"),
                settings);
        int ended = new ProcessBuilder(all)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start()
                .waitFor();
        if (ended != 0) {
            // It would hold the classes of half a start.
            Files.deleteIfExists(fresh);
            throw new IllegalStateException("The program does not start, " + ended + ": " + String.join(" ", all));
        }
        Files.move(fresh, SHARED, StandardCopyOption.REPLACE_EXISTING);
    }

    /** @return the class path of the tests */
    public static String classPath() {
        return System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
    }

    private static List<Path> classes() {
        return Stream.of(classPath().split(File.pathSeparator))
                .map(Path::of)
                .filter(entry -> !entry.endsWith("test-classes"))
                .toList();
    }

    /** Folders of classes are packed, since none can be shared from; the jars are named from here on, which sharing asks for, too. */
    private static void pack() throws IOException {
        FileTime newest = FileTime.fromMillis(0);
        for (Path root : classes()) {
            if (Files.isDirectory(root)) {
                try (Stream<Path> inside = Files.walk(root)) {
                    for (Path file : inside.toList()) {
                        FileTime changed = Files.getLastModifiedTime(file);
                        newest = changed.compareTo(newest) > 0 ? changed : newest;
                    }
                }
            }
        }
        if (Files.exists(JAR) && Files.getLastModifiedTime(JAR).compareTo(newest) > 0) {
            return;
        }
        Files.deleteIfExists(SHARED);
        Manifest manifest = new Manifest();
        Attributes main = manifest.getMainAttributes();
        main.put(Attributes.Name.MANIFEST_VERSION, "1.0");
        main.put(Attributes.Name.MAIN_CLASS, IsothermServer.class.getName());
        main.put(
                Attributes.Name.CLASS_PATH,
                classes().stream()
                        .filter(Files::isRegularFile)
                        .map(entry -> FOLDER.relativize(entry.toAbsolutePath()).toString())
                        .collect(Collectors.joining(" ")));
        Path fresh = FOLDER.resolve("isotherm.jar.new");
        try (JarOutputStream jar = new JarOutputStream(Files.newOutputStream(fresh), manifest)) {
            Set<String> there = new HashSet<>(Set.of("META-INF/MANIFEST.MF"));
            for (Path root : classes()) {
                if (Files.isDirectory(root)) {
                    fill(jar, root, there);
                }
            }
        }
        Files.move(fresh, JAR, StandardCopyOption.REPLACE_EXISTING);
    }

    /** With its folders, in which what is looked for by a pattern is found. */
    private static void fill(JarOutputStream jar, Path root, Set<String> there) throws IOException {
        List<Path> all;
        try (Stream<Path> inside = Files.walk(root)) {
            all = inside.filter(f -> !f.equals(root)).sorted().toList();
        }
        for (Path file : all) {
            boolean folder = Files.isDirectory(file);
            String name = root.relativize(file).toString().replace(File.separatorChar, '/') + (folder ? "/" : "");
            if (there.add(name)) {
                jar.putNextEntry(new JarEntry(name));
                if (!folder) {
                    Files.copy(file, jar);
                }
                jar.closeEntry();
            }
        }
    }
}
