package isotherm.server.archive;

import isotherm.server.archive.FileDocuments.BuildContents;
import isotherm.server.archive.FileDocuments.CarContents;
import isotherm.server.archive.FileDocuments.GarageContents;
import isotherm.server.archive.FileDocuments.PartContents;
import isotherm.server.build.BuildDocuments.BuildDocument;
import isotherm.server.build.BuildDocuments.EntryDocument;
import isotherm.server.care.CareDocuments.CareEntryDocument;
import isotherm.server.catalogue.Families;
import isotherm.server.contract.Attempt;
import isotherm.server.evidence.LogDocument;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.DutyDocument;
import isotherm.server.garage.SettingsDocument;
import isotherm.server.logs.LogRows;
import isotherm.server.store.Books;
import isotherm.server.store.Garage;
import isotherm.server.store.Kind;
import isotherm.server.store.Settings;
import isotherm.server.store.Stored;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What is kept here as the files of an archive, documents letter by letter as they are stored. */
@Component
class GarageItems {
    private final Garage garage;
    private final Books books;
    private final LogRows rows;
    private final Settings settings;

    GarageItems(Garage garage, Books books, LogRows rows, Settings settings) {
        this.settings = settings;
        this.garage = garage;
        this.books = books;
        this.rows = rows;
    }

    GarageContents contents() {
        return new GarageContents(
                ArchiveFormat.GARAGE.id(),
                ArchiveFormat.GARAGE.newest(),
                garage.cars().stream().map(c -> contents(c.id())).toList(),
                garage.ownParts().stream()
                        .map(p -> new PartContents(p.part().id().toString(), p.family(), isSpoiled(p) ? true : null))
                        .toList(),
                Attempt.document(settings.read().document(), SettingsDocument.class)
                        .currency());
    }

    private static boolean isSpoiled(Garage.OwnPart part) {
        return Families.document(part.family())
                .filter(type ->
                        Attempt.read(part.part().document(), type).found().isEmpty())
                .isPresent();
    }

    CarContents contents(UUID car) {
        List<String> spoiled = spoiled(car);
        List<String> pictures =
                books.pictures(Kind.CAR, car).stream().map(UUID::toString).toList();
        return new CarContents(
                car.toString(),
                ids(Kind.DUTY, car),
                ids(Kind.DESIGN, car),
                ids(Kind.LOG, car),
                garage.parts(Kind.BUILD, car).stream()
                        .map(b -> new BuildContents(
                                b.id().toString(),
                                books.pictures(Kind.BUILD, b.id()).stream()
                                        .map(UUID::toString)
                                        .toList()))
                        .toList(),
                spoiled.isEmpty() ? null : spoiled,
                pictures.isEmpty() ? null : pictures);
    }

    /** One document that is older than a rule does not keep a garage from being written, nor from being read again. */
    private List<String> spoiled(UUID car) {
        List<String> spoiled = new ArrayList<>();
        note(List.of(garage.get(Kind.CAR, car)), CarDocument.class, spoiled);
        note(garage.parts(Kind.DUTY, car), DutyDocument.class, spoiled);
        note(garage.parts(Kind.DESIGN, car), DesignDocument.class, spoiled);
        note(garage.parts(Kind.LOG, car), LogDocument.class, spoiled);
        List<Stored> builds = garage.parts(Kind.BUILD, car);
        note(builds, BuildDocument.class, spoiled);
        books.entries(Kind.BUILD, builds.stream().map(Stored::id).toList())
                .values()
                .forEach(sheet -> noteEntries(sheet, EntryDocument.class, spoiled));
        noteEntries(books.entries(Kind.CAR, car), CareEntryDocument.class, spoiled);
        return spoiled.stream().sorted().toList();
    }

    private static void note(List<Stored> documents, Class<? extends Record> type, List<String> spoiled) {
        documents.stream()
                .filter(s -> Attempt.read(s.document(), type).found().isEmpty())
                .forEach(s -> spoiled.add(s.id().toString()));
    }

    private static void noteEntries(List<String> entries, Class<? extends Record> type, List<String> spoiled) {
        entries.stream()
                .filter(e -> Attempt.read(e, type).found().isEmpty())
                .forEach(e -> spoiled.add(CarFiles.identity(e)));
    }

    private List<String> ids(Kind kind, UUID car) {
        return garage.parts(kind, car).stream().map(s -> s.id().toString()).toList();
    }

    /** The files of a car, in the order in which they are written. */
    List<Item> items(CarContents car) {
        List<Item> items = new ArrayList<>();
        UUID carId = UUID.fromString(car.id());
        items.add(Item.text(Names.car(car), garage.get(Kind.CAR, carId).document()));
        for (Stored duty : garage.parts(Kind.DUTY, carId)) {
            items.add(Item.text(Names.duty(car, duty.id().toString()), duty.document()));
        }
        for (Stored design : garage.parts(Kind.DESIGN, carId)) {
            items.add(Item.text(Names.design(car, design.id().toString()), design.document()));
        }
        for (Stored log : garage.parts(Kind.LOG, carId)) {
            String id = log.id().toString();
            items.add(Item.text(Names.log(car, id), log.document()));
            items.add(new Item(
                    Names.rows(car, id), out -> rows.write(log.id(), LogDocument.Shape.of(log.document()), out)));
        }
        builds(car, carId, items);
        for (String picture : car.ofTheCar()) {
            items.add(new Item(
                    Names.picture(car, picture),
                    out -> out.write(books.picture(Kind.CAR, carId, UUID.fromString(picture)))));
        }
        items.add(Item.text(Names.care(car), lines(books.entries(Kind.CAR, carId))));
        return items;
    }

    private void builds(CarContents car, UUID carId, List<Item> items) {
        Map<UUID, String> documents =
                garage.parts(Kind.BUILD, carId).stream().collect(Collectors.toMap(Stored::id, Stored::document));
        Map<UUID, List<String>> sheets = books.entries(Kind.BUILD, documents.keySet());
        for (BuildContents build : car.builds()) {
            UUID id = UUID.fromString(build.id());
            items.add(Item.text(Names.build(car, build), documents.get(id)));
            items.add(Item.text(Names.entries(car, build), lines(sheets.getOrDefault(id, List.of()))));
            for (String picture : build.pictures()) {
                items.add(new Item(
                        Names.picture(car, build, picture),
                        out -> out.write(books.picture(Kind.BUILD, id, UUID.fromString(picture)))));
            }
        }
    }

    /**
     * A document a line. A line end in JSON stands between its parts, never in a text, and a blank does as well there; the other
     * characters at which a text may be broken do stand in texts.
     */
    private static String lines(List<String> documents) {
        return documents.stream().map(d -> d.replaceAll("[\r\n]+", " ") + "\n").collect(Collectors.joining());
    }

    List<Item> parts() {
        return garage.ownParts().stream()
                .map(p ->
                        Item.text(Names.part(p.part().id().toString()), p.part().document()))
                .toList();
    }
}
