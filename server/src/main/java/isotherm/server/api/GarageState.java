package isotherm.server.api;

import isotherm.server.IsothermServer;
import isotherm.server.api.StateController.BackupView;
import isotherm.server.api.StateController.StateView;
import isotherm.server.api.StateController.VersionsView;
import isotherm.server.build.Feeds;
import isotherm.server.jobs.Desk;
import isotherm.server.jobs.Jobs;
import isotherm.server.store.GarageFigures;
import isotherm.server.store.Home;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Reads how this garage does from where it stands. */
@Service
class GarageState {
    private static final double MB = 1e6;

    /** Less than this is little, MB: a full disk saves nothing. */
    private static final long LITTLE_ROOM_MB = 2000;
    /** One is made each night: an older one says that something stands in the way. */
    private static final Duration OLD = Duration.ofDays(2);

    private final GarageFigures garage;
    private final Home home;
    private final Jobs jobs;
    private final Desk desk;
    private final Feeds feeds;

    GarageState(GarageFigures garage, Home home, Jobs jobs, Desk desk, Feeds feeds) {
        this.garage = garage;
        this.home = home;
        this.jobs = jobs;
        this.desk = desk;
        this.feeds = feeds;
    }

    /** @return how it stands now */
    StateView now() {
        GarageFigures.Figures figures = garage.now();
        Runtime java = Runtime.getRuntime();
        List<BackupView> backups = backups();
        Optional<BackupView> newest = backups.stream().max(Comparator.comparing(BackupView::at));
        Long free = free();
        return new StateView(
                figures.cars(),
                Math.round(figures.bytes() / MB),
                free,
                free != null && free < LITTLE_ROOM_MB,
                newest.orElse(null),
                newest.isPresent() && newest.get().at().isBefore(Instant.now().minus(OLD)),
                backups.size(),
                jobs.load(),
                desk.load(),
                feeds.attached(),
                figures.sessions(),
                Math.round((java.totalMemory() - java.freeMemory()) / MB),
                Math.round(java.maxMemory() / MB),
                Instant.ofEpochMilli(ManagementFactory.getRuntimeMXBean().getStartTime()),
                new VersionsView(
                        Objects.requireNonNullElse(
                                IsothermServer.class.getPackage().getImplementationVersion(), "not released"),
                        Runtime.version().toString(),
                        figures.version(),
                        figures.tables()));
    }

    private Long free() {
        return home.file("")
                .map(folder -> {
                    try {
                        return Math.round(Files.getFileStore(folder).getUsableSpace() / MB);
                    } catch (IOException e) {
                        return null;
                    }
                })
                .orElse(null);
    }

    private List<BackupView> backups() {
        Optional<Path> folder = home.file("backups").filter(Files::isDirectory);
        if (folder.isEmpty()) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder.get())) {
            return files.filter(f -> f.toString().endsWith(".dump"))
                    .flatMap(f -> view(f).stream())
                    .toList();
        } catch (IOException e) {
            return List.of();
        }
    }

    /** One that is being put away meanwhile is none. */
    private static Optional<BackupView> view(Path file) {
        try {
            return Optional.of(new BackupView(
                    file.getFileName().toString(),
                    Files.getLastModifiedTime(file).toInstant(),
                    Math.round(Files.size(file) / MB * 10) / 10.0));
        } catch (IOException e) {
            return Optional.empty();
        }
    }
}
