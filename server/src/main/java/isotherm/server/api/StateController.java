package isotherm.server.api;

import isotherm.server.access.Least;
import isotherm.server.access.Role;
import isotherm.server.contract.Missing;
import java.time.Instant;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How this garage does: room, backups, work, versions. */
@RestController
@RequestMapping("/api/state")
class StateController {
    private final GarageState state;

    StateController(GarageState state) {
        this.state = state;
    }

    /**
     * How this garage does.
     *
     * @param cars cars in it
     * @param databaseMb what it takes on disk, MB
     * @param freeMb what is free there, MB
     * @param littleRoom whether that is so little that room has to be made
     * @param backup the newest backup
     * @param backupOld whether that one is older than it should be
     * @param backups backups that are kept
     * @param jobs long work that waits or is under way
     * @param questions short questions that wait or are worked at
     * @param loggers loggers that are listened to
     * @param signedIn browsers in which somebody has signed in
     * @param memoryMb memory that the server uses, MB
     * @param memoryMostMb memory that it uses at most, MB
     * @param since when the server was started
     * @param versions of what it is made of
     */
    record StateView(
            long cars,
            long databaseMb,
            @Missing("started without a home") Long freeMb,
            boolean littleRoom,
            @Missing("there is none") BackupView backup,
            boolean backupOld,
            int backups,
            int jobs,
            int questions,
            int loggers,
            long signedIn,
            long memoryMb,
            long memoryMostMb,
            Instant since,
            VersionsView versions) {}

    /**
     * A backup.
     *
     * @param name name of its file
     * @param at when it was made
     * @param mb its size, MB
     */
    record BackupView(String name, Instant at, double mb) {}

    /**
     * Versions.
     *
     * @param isotherm this program's
     * @param java that of Java
     * @param database that of PostgreSQL
     * @param tables that of the tables
     */
    record VersionsView(String isotherm, String java, String database, String tables) {}

    @Least(Role.VIEWER)
    @GetMapping
    StateView state() {
        return state.now();
    }
}
