package isotherm.server.api;

import isotherm.server.IsothermServer;
import isotherm.server.api.StateController.BackupView;
import isotherm.server.api.StateController.StateView;
import isotherm.server.api.StateController.VersionsView;
import isotherm.server.build.Feeds;
import isotherm.server.jobs.Desk;
import isotherm.server.jobs.Jobs;
import isotherm.server.store.Home;
import jakarta.persistence.EntityManager;
import jakarta.persistence.PersistenceContext;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads how this garage does from where it stands. */
@Service
class GarageState {
    private static final double MB = 1e6;

    @PersistenceContext
    private EntityManager entities;

    private final Home home;
    private final Jobs jobs;
    private final Desk desk;
    private final Feeds feeds;

    GarageState(Home home, Jobs jobs, Desk desk, Feeds feeds) {
        this.home = home;
        this.jobs = jobs;
        this.desk = desk;
        this.feeds = feeds;
    }

    @Transactional(readOnly = true)
    StateView now() {
        Runtime java = Runtime.getRuntime();
        List<BackupView> backups = backups();
        return new StateView(
                number("select count(*) from car"),
                Math.round(number("select pg_database_size(current_database())") / MB),
                free(),
                backups.stream().max(Comparator.comparing(BackupView::at)).orElse(null),
                backups.size(),
                jobs.load(),
                desk.load(),
                feeds.attached(),
                number("select count(*) from spring_session where expiry_time > extract(epoch from now()) * 1000"),
                Math.round((java.totalMemory() - java.freeMemory()) / MB),
                Math.round(java.maxMemory() / MB),
                Instant.ofEpochMilli(ManagementFactory.getRuntimeMXBean().getStartTime()),
                new VersionsView(
                        Objects.requireNonNullElse(
                                IsothermServer.class.getPackage().getImplementationVersion(), "not released"),
                        Runtime.version().toString(),
                        text("show server_version"),
                        text(
                                "select version from flyway_schema_history where success order by installed_rank desc limit 1")));
    }

    private long number(String query) {
        return ((Number) entities.createNativeQuery(query).getSingleResult()).longValue();
    }

    private String text(String query) {
        return String.valueOf(entities.createNativeQuery(query).getSingleResult());
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
