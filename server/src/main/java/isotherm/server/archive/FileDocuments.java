package isotherm.server.archive;

import isotherm.server.contract.Checked;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.SettingsDocument;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;

/** What files say of themselves that are taken from one installation to another. */
public final class FileDocuments {
    private FileDocuments() {}

    /**
     * One design in a file.
     *
     * @param format what the file is
     * @param version version of the format
     * @param design the design
     */
    public record DesignFile(
            @Text(value = "what the file is", min = 1, max = 40) String format,
            @Quantity(value = "version of the format", min = 1, max = 1e6) int version,
            @Text("the design") DesignDocument design)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            design.check(path + "/design", problems);
        }
    }

    /**
     * The list of contents of a garage in a file.
     *
     * @param format what the file is
     * @param version version of the format
     * @param cars the cars, oldest first
     * @param parts the garage's own parts, oldest first
     * @param currency currency of its prices
     */
    public record GarageContents(
            @Text(value = "what the file is", min = 1, max = 40) String format,
            @Quantity(value = "version of the format", min = 1, max = 1e6) int version,
            @Text(value = "the cars, oldest first", max = 10_000) List<CarContents> cars,
            @Text(value = "the garage's own parts, oldest first", max = 100_000) List<PartContents> parts,
            @Missing("none chosen") @Text(value = "currency of its prices, ISO 4217", min = 3, max = 3) String currency)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            if (currency != null) {
                new SettingsDocument(currency).check(path, problems);
            }
            Set<String> seen = new HashSet<>();
            for (int i = 0; i < cars.size(); i++) {
                cars.get(i).check(path + "/cars/" + i, seen, problems);
            }
            for (int i = 0; i < parts.size(); i++) {
                identity(parts.get(i).id(), path + "/parts/" + i + "/id", seen, problems);
            }
        }
    }

    /**
     * What belongs to a car.
     *
     * @param id its identity
     * @param duties identities of its duties, oldest first
     * @param designs of its designs
     * @param logs of its logs
     * @param builds its builds
     * @param spoiled of those documents and entries that were kept before today's rules and do not pass them: they go on being
     *     kept as they are, to be mended
     * @param pictures identities of pictures of the car itself, oldest first
     */
    public record CarContents(
            @Text(value = "its identity", min = 36, max = 36) String id,
            @Text(value = "identities of its duties", max = 10_000) List<String> duties,
            @Text(value = "identities of its designs", max = 10_000) List<String> designs,
            @Text(value = "identities of its logs", max = 10_000) List<String> logs,
            @Text(value = "its builds", max = 10_000) List<BuildContents> builds,
            @Missing("none") @Text(value = "of those that do not pass today's rules", max = 100_000)
                    List<String> spoiled,
            @Missing("none") @Text(value = "identities of pictures of the car itself, oldest first", max = 10_000)
                    List<String> pictures) {
        /** @return identities of pictures of the car itself, oldest first */
        public List<String> ofTheCar() {
            return pictures == null ? List.of() : pictures;
        }

        /**
         * @param identity a document or an entry
         * @return whether it is kept although it does not pass today's rules
         */
        public boolean isSpoiled(String identity) {
            return spoiled != null && spoiled.contains(identity);
        }

        private void check(String path, Set<String> seen, List<Problem> problems) {
            identity(id, path + "/id", seen, problems);
            known(duties, path + "/duties", seen, problems);
            known(designs, path + "/designs", seen, problems);
            known(logs, path + "/logs", seen, problems);
            known(ofTheCar(), path + "/pictures", seen, problems);
            for (int i = 0; i < builds.size(); i++) {
                identity(builds.get(i).id(), path + "/builds/" + i + "/id", seen, problems);
                known(builds.get(i).pictures(), path + "/builds/" + i + "/pictures", seen, problems);
            }
        }
    }

    /**
     * What belongs to a build.
     *
     * @param id its identity
     * @param pictures identities of its pictures, oldest first
     */
    public record BuildContents(
            @Text(value = "its identity", min = 36, max = 36) String id,
            @Text(value = "identities of its pictures", max = 10_000) List<String> pictures) {}

    /**
     * A part of the garage's own.
     *
     * @param id its identity
     * @param family its family
     * @param spoiled whether it was kept before today's rules and does not pass them
     */
    public record PartContents(
            @Text(value = "its identity", min = 36, max = 36) String id,
            @Text(value = "its family", min = 1, max = 40) String family,
            @Missing("it passes them") @Text("whether it does not pass today's rules") Boolean spoiled) {}

    /**
     * What became of a garage that was read.
     *
     * @param added names of the cars that came in
     * @param alike of those that are here already, without a difference
     * @param left of those that are here already and differ, and were left as they are here
     * @param partsAdded number of own parts that came in
     * @param partsLeft number of those that are here already and differ, and were left as they are here
     */
    public record GarageReport(
            List<String> added, List<String> alike, List<String> left, int partsAdded, int partsLeft) {}

    private static void known(List<String> ids, String path, Set<String> seen, List<Problem> problems) {
        for (int i = 0; i < ids.size(); i++) {
            identity(ids.get(i), path + "/" + i, seen, problems);
        }
    }

    /** Identities name the files of an archive: each is written in one way only, and stands there once. */
    private static void identity(String id, String path, Set<String> seen, List<Problem> problems) {
        try {
            if (!UUID.fromString(id).toString().equals(id)) {
                throw new IllegalArgumentException(id);
            }
        } catch (IllegalArgumentException e) {
            problems.add(Problem.of(path, id, "A UUID in small letters is expected here"));
            return;
        }
        if (!seen.add(id)) {
            problems.add(Problem.of(path, id, "This identity stands here twice"));
        }
    }
}
