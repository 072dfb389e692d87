package isotherm.server.api;

import isotherm.server.build.BuildDocuments.BuildDocument;
import isotherm.server.build.BuildDocuments.SheetProgress;
import isotherm.server.contract.Missing;
import isotherm.server.evidence.LogDocument;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.DutyDocument;
import isotherm.server.garage.SettingsDocument;
import isotherm.server.store.Kind;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** What the API shows of the stored garage. */
final class Views {
    private Views() {}

    /**
     * What holds for the garage as a whole.
     *
     * @param version version, for If-Match
     * @param settings what has been chosen
     */
    record SettingsView(@Missing("nobody has chosen anything yet") Integer version, SettingsDocument settings) {}

    /**
     * A car in the list.
     *
     * @param id identity
     * @param name name
     * @param broken whether today's rules refuse it, so that it has to be mended before it can be used
     */
    record CarSummary(UUID id, String name, boolean broken) {}

    /**
     * A car with all that belongs to it.
     *
     * @param id identity
     * @param version version, for If-Match
     * @param car the car
     * @param duties its duties, oldest first
     * @param designs its designs, oldest first
     * @param logs its logs, oldest first
     * @param broken how many of its duties, designs and logs today's rules refuse; they are not among these
     */
    record CarView(
            UUID id,
            int version,
            CarDocument car,
            List<DutyView> duties,
            List<DesignView> designs,
            List<LogView> logs,
            int broken) {}

    /**
     * A log.
     *
     * @param id identity
     * @param version version, for If-Match
     * @param log what it holds
     */
    record LogView(UUID id, int version, LogDocument log) {}

    /**
     * A file that was sent, before it is kept.
     *
     * @param id identity
     * @param name name of the file
     * @param preview what the importer sees
     */
    record UploadView(UUID id, String name, LogDocument.PreviewDocument preview) {}

    /**
     * A duty.
     *
     * @param id identity
     * @param version version, for If-Match
     * @param duty the duty
     */
    record DutyView(UUID id, int version, DutyDocument duty) {}

    /**
     * A build in the list.
     *
     * @param id identity
     * @param version version, for If-Match
     * @param name name
     * @param startedAt when it was begun
     * @param done steps that are done
     * @param steps steps of its sheet
     */
    record BuildSummary(UUID id, int version, String name, String startedAt, int done, int steps) {}

    /**
     * A build.
     *
     * @param id identity
     * @param version version, for If-Match
     * @param build the build with its run sheet
     * @param progress how far it is
     */
    record BuildView(UUID id, int version, BuildDocument build, SheetProgress progress) {}

    /**
     * A design.
     *
     * @param id identity
     * @param version version, for If-Match
     * @param design the design
     */
    record DesignView(UUID id, int version, DesignDocument design) {}

    /**
     * The last change of something of a car.
     *
     * @param kind of what
     * @param id its identity
     * @param name its name
     * @param by who made it
     * @param at when
     */
    record ChangeView(Kind kind, UUID id, String name, @Missing("nobody had signed in") String by, Instant at) {}
}
