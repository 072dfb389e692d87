package isotherm.server.archive;

import isotherm.server.archive.FileDocuments.BuildContents;
import isotherm.server.archive.FileDocuments.CarContents;
import isotherm.server.archive.FileDocuments.GarageContents;
import isotherm.server.archive.FileDocuments.GarageReport;
import isotherm.server.archive.FileDocuments.PartContents;
import isotherm.server.build.BuildDocuments.BuildDocument;
import isotherm.server.build.BuildDocuments.EntryDocument;
import isotherm.server.build.Builds;
import isotherm.server.build.Pictures;
import isotherm.server.care.Care;
import isotherm.server.care.CareDocuments.CareEntryDocument;
import isotherm.server.catalogue.Families;
import isotherm.server.catalogue.PlumbingCatalogue;
import isotherm.server.contract.Attempt;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.evidence.LogDocument;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.SettingsDocument;
import isotherm.server.logs.LogRows;
import isotherm.server.store.Garage;
import isotherm.server.store.Intake;
import isotherm.server.store.Kind;
import isotherm.server.store.Schema;
import isotherm.server.store.Settings;
import isotherm.server.store.Shelf;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Reads a garage that was written elsewhere, or here. It comes in whole or not at all, and what is here already is never changed
 * by it.
 */
@Service
public class GarageReader {
    private static final Pattern IDENTITY =
            Pattern.compile("[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}");
    private static final String FROM_FILE = ", from a file";
    private static final int LONGEST_NAME = 120;

    private final GarageItems items;
    private final Garage garage;
    private final Intake intake;
    private final PlumbingCatalogue catalogue;
    private final Settings settings;
    private final JsonMapper json;
    private final TransactionTemplate whole;

    GarageReader(
            GarageItems items,
            Garage garage,
            Intake intake,
            PlumbingCatalogue catalogue,
            Settings settings,
            JsonMapper json,
            PlatformTransactionManager transactions) {
        this.items = items;
        this.garage = garage;
        this.intake = intake;
        this.catalogue = catalogue;
        this.settings = settings;
        this.json = json;
        this.whole = new TransactionTemplate(transactions);
    }

    /**
     * @param in an archive
     * @param copies whether cars that are here already and differ come in beside them; otherwise they are left out
     * @return what became of it
     * @throws IOException when it cannot be read to its end
     * @throws InvalidDocument when anything in it cannot be taken
     * @throws isotherm.server.store.LargeStore.TooLarge when there is too much of it
     */
    public GarageReport read(InputStream in, boolean copies) throws IOException {
        try (Archive archive = Archive.of(in)) {
            String list = archive.text(Names.CONTENTS, Archive.LARGEST_LIST);
            ArchiveFormat.GARAGE.check(list);
            GarageContents contents = CarFiles.document(Names.CONTENTS, list, GarageContents.class);
            archive.checkNames(Names.of(contents));
            return whole.execute(status -> {
                try {
                    return new Reading(archive, copies).read(contents);
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
        } catch (UncheckedIOException e) {
            throw Archive.refused(
                    "", "This archive cannot be read: " + e.getCause().getMessage());
        }
    }

    /** One archive on its way in. */
    private final class Reading {
        private final Archive archive;
        private final boolean copies;
        private final List<String> added = new ArrayList<>();
        private final List<String> alike = new ArrayList<>();
        private final List<String> left = new ArrayList<>();

        Reading(Archive archive, boolean copies) {
            this.archive = archive;
            this.copies = copies;
        }

        GarageReport read(GarageContents contents) throws IOException {
            for (CarContents c : contents.cars()) {
                CarFiles car = CarFiles.read(archive, c, contents.version());
                Set<UUID> identities = car.identities();
                if (!intake.taken(identities)) {
                    add(car, car.name(), UnaryOperator.identity());
                } else if (isAlike(car)) {
                    alike.add(car.name());
                } else if (copies) {
                    Map<UUID, UUID> fresh =
                            identities.stream().collect(Collectors.toMap(Function.identity(), id -> UUID.randomUUID()));
                    String name = car.name();
                    add(
                            car,
                            name.substring(0, Math.min(name.length(), LONGEST_NAME - FROM_FILE.length())) + FROM_FILE,
                            id -> fresh.getOrDefault(id, id));
                } else {
                    left.add(car.name());
                }
            }
            int[] parts = parts(contents);
            settings(contents);
            return new GarageReport(added, alike, left, parts[0], parts[1]);
        }

        private void add(CarFiles car, String name, UnaryOperator<UUID> as) throws IOException {
            CarContents c = car.contents();
            UUID carId = as.apply(UUID.fromString(c.id()));
            intake.put(
                    Kind.CAR,
                    carId,
                    carId,
                    // A car names its designs.
                    anew(name.equals(car.name()) ? car.texts().get(Names.car(c)) : car.renamed(name), c.designs(), as));
            for (String id : c.duties()) {
                intake.put(
                        Kind.DUTY,
                        as.apply(UUID.fromString(id)),
                        carId,
                        car.texts().get(Names.duty(c, id)));
            }
            for (String id : c.designs()) {
                intake.put(
                        Kind.DESIGN,
                        as.apply(UUID.fromString(id)),
                        carId,
                        anew(car.texts().get(Names.design(c, id)), c.ofTheCar(), as));
            }
            for (String id : c.ofTheCar()) {
                addPicture(Kind.CAR, carId, Names.picture(c, id), as.apply(UUID.fromString(id)));
            }
            for (String id : c.logs()) {
                addLog(car, id, as, carId);
            }
            Optional<BuildDocument> newest = Optional.empty();
            for (BuildContents b : c.builds()) {
                Optional<BuildDocument> build = addBuild(car, b, as, carId);
                newest = build.isPresent() ? build : newest;
            }
            Optional<BuildDocument> counted = newest;
            List<String> care = write(Kind.CAR, carId, car.books().get(Names.care(c)), as);
            shown(
                    Names.care(c),
                    () -> Care.shown(
                            Attempt.read(car.texts().get(Names.car(c)), CarDocument.class)
                                    .found(),
                            counted,
                            care.stream()
                                    .flatMap(t -> Attempt.read(t, CareEntryDocument.class).found().stream())
                                    .toList(),
                            catalogue.parts(),
                            LocalDate.EPOCH));
            added.add(name);
        }

        private void addLog(CarFiles car, String id, UnaryOperator<UUID> as, UUID carId) throws IOException {
            // A log names the design that was driven.
            String text = anew(
                    car.texts().get(Names.log(car.contents(), id)),
                    car.contents().designs(),
                    as);
            String rows = Names.rows(car.contents(), id);
            LogDocument.Shape log = LogDocument.Shape.of(text);
            intake.putLog(as.apply(UUID.fromString(id)), carId, pieces -> {
                archive.read(rows, Archive.LARGEST_ROWS, in -> {
                    LogRows.read(log, in, rows, pieces);
                    return rows;
                });
                return text;
            });
        }

        private Optional<BuildDocument> addBuild(CarFiles car, BuildContents b, UnaryOperator<UUID> as, UUID carId)
                throws IOException {
            UUID id = as.apply(UUID.fromString(b.id()));
            String text = car.texts().get(Names.build(car.contents(), b));
            intake.put(Kind.BUILD, id, carId, text);
            Optional<BuildDocument> build =
                    Attempt.read(text, BuildDocument.class).found();
            String sheet = Names.entries(car.contents(), b);
            List<String> written = write(Kind.BUILD, id, car.books().get(sheet), as);
            build.ifPresent(read -> shown(
                    sheet,
                    () -> Builds.shown(
                            read,
                            written.stream()
                                    .flatMap(t -> Attempt.read(t, EntryDocument.class).found().stream())
                                    .toList())));
            for (String picture : b.pictures()) {
                addPicture(
                        Kind.BUILD, id, Names.picture(car.contents(), b, picture), as.apply(UUID.fromString(picture)));
            }
            return build;
        }

        private void addPicture(Kind owner, UUID ownerId, String name, UUID as) throws IOException {
            byte[] data = archive.read(name, Pictures.LARGEST_FILE, InputStream::readAllBytes);
            try {
                intake.putPicture(owner, ownerId, as, Pictures.kept(data));
            } catch (InvalidDocument e) {
                throw Archive.refused(name, e.problems().get(0).message());
            }
        }

        /** A design names pictures of its car, a log its design; a car that comes a second time has its own. */
        private static String anew(String document, List<String> named, UnaryOperator<UUID> as) {
            String text = document;
            for (String id : named) {
                text = text.replace(id, as.apply(UUID.fromString(id)).toString());
            }
            return text;
        }

        private List<String> write(Kind book, UUID owner, List<CarFiles.Written> entries, UnaryOperator<UUID> as) {
            List<String> written = new ArrayList<>();
            for (CarFiles.Written w : entries) {
                // Entries name other entries, pictures and themselves.
                String text = IDENTITY.matcher(w.text())
                        .replaceAll(m -> as.apply(UUID.fromString(m.group())).toString());
                intake.putEntry(book, owner, as.apply(w.id()), written.size(), text);
                written.add(text);
            }
            return written;
        }

        /** What cannot be shown is not kept: nobody could go on with it. */
        private void shown(String name, Runnable show) {
            try {
                show.run();
            } catch (RuntimeException e) {
                throw Archive.refused(name, "What is written here does not belong to this build or car");
            }
        }

        /** Whether the same car is here, file by file. */
        private boolean isAlike(CarFiles car) throws IOException {
            CarContents c = car.contents();
            UUID id = UUID.fromString(c.id());
            if (garage.find(Kind.CAR, id).isEmpty() || !items.contents(id).equals(c)) {
                return false;
            }
            for (Item here : items.items(c)) {
                // What was written by an earlier schema is alike when it is so once it has been lifted.
                String text = car.texts().get(here.name());
                if (text != null) {
                    ByteArrayOutputStream mine = new ByteArrayOutputStream();
                    here.content().writeTo(mine);
                    if (!mine.toString(StandardCharsets.UTF_8).equals(text)) {
                        return false;
                    }
                    continue;
                }
                MessageDigest digest = sha256();
                try (DigestOutputStream out = new DigestOutputStream(OutputStream.nullOutputStream(), digest)) {
                    here.content().writeTo(out);
                }
                byte[] there = archive.read(here.name(), Archive.LARGEST_ROWS, in -> {
                    MessageDigest d = sha256();
                    in.transferTo(new DigestOutputStream(OutputStream.nullOutputStream(), d));
                    return d.digest();
                });
                if (!Arrays.equals(digest.digest(), there)) {
                    return false;
                }
            }
            return true;
        }

        /** Own parts: how many came in, and how many were left out because another one of that name is here. */
        private int[] parts(GarageContents contents) throws IOException {
            Map<String, String> here = garage.ownParts().stream()
                    .collect(Collectors.toMap(
                            p -> key(p.family(), p.part().document()),
                            p -> p.part().document(),
                            (a, b) -> b));
            int in = 0;
            int out = 0;
            for (PartContents p : contents.parts()) {
                String name = Names.part(p.id());
                Class<? extends Record> type = Families.document(p.family())
                        .orElseThrow(() -> Archive.refused(
                                Names.CONTENTS, "“" + p.family() + "” is no family of parts that is known here"));
                String text = Schema.lift(Shelf.PART, contents.version(), archive.text(name, Archive.LARGEST_DOCUMENT));
                if (!Boolean.TRUE.equals(p.spoiled())) {
                    CarFiles.document(name, text, type);
                }
                UUID id = UUID.fromString(p.id());
                String other = here.get(key(p.family(), text));
                if (other == null) {
                    intake.putPart(p.family(), intake.taken(List.of(id)) ? UUID.randomUUID() : id, text);
                    in++;
                } else if (!other.equals(text)) {
                    out++;
                }
            }
            return new int[] {in, out};
        }

        /** A garage that says nothing takes what the file says. */
        private void settings(GarageContents contents) {
            if (contents.currency() != null && settings.read().version() == Settings.UNTOUCHED) {
                settings.replace(
                        Settings.UNTOUCHED, json.writeValueAsString(new SettingsDocument(contents.currency())));
            }
        }

        private String key(String family, String document) {
            JsonNode part;
            try {
                part = json.readTree(document);
            } catch (JacksonException e) {
                return family + "\n" + document;
            }
            return family + "\n" + part.get("maker") + "\n" + part.get("number");
        }
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has it", e);
        }
    }
}
