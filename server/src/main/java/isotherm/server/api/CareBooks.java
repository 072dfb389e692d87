package isotherm.server.api;

import isotherm.core.care.CareEntry;
import isotherm.server.build.BuildDocuments.BuildDocument;
import isotherm.server.care.Care;
import isotherm.server.care.CareDocuments.CareEntryDocument;
import isotherm.server.care.CareDocuments.CareView;
import isotherm.server.catalogue.PlumbingCatalogue;
import isotherm.server.contract.Attempt;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.garage.CarDocument;
import isotherm.server.store.Books;
import isotherm.server.store.Garage;
import isotherm.server.store.Kind;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** Care books of the garage's cars. */
@Service
class CareBooks {
    private final Garage garage;
    private final Books books;
    private final PlumbingCatalogue catalogue;
    private final JsonMapper json;

    CareBooks(Garage garage, Books books, PlumbingCatalogue catalogue, JsonMapper json) {
        this.garage = garage;
        this.books = books;
        this.catalogue = catalogue;
        this.json = json;
    }

    private static List<CareEntryDocument> read(List<String> documents) {
        return documents.stream()
                .flatMap(d -> Attempt.read(d, CareEntryDocument.class).found().stream())
                .toList();
    }

    private Optional<BuildDocument> newestBuild(UUID carId) {
        return garage.parts(Kind.BUILD, carId).stream()
                .flatMap(s -> Attempt.read(s.document(), BuildDocument.class).found().stream())
                .reduce((older, newer) -> newer);
    }

    /**
     * @param carId a car
     * @return its care as it is shown today
     * @throws isotherm.server.store.NotStored when there is none
     */
    CareView view(UUID carId) {
        Optional<CarDocument> car = Attempt.read(garage.get(Kind.CAR, carId).document(), CarDocument.class)
                .found();
        return Care.shown(car, newestBuild(carId), read(books.entries(Kind.CAR, carId)), catalogue.parts(), today());
    }

    /** @return the day by which things are due */
    LocalDate today() {
        return LocalDate.now(ZoneOffset.UTC);
    }

    /**
     * @param carId a car
     * @param entry what is to be written in its book
     * @return whether it is new: what is sent twice is written once
     * @throws InvalidDocument when the book does not take it, with the reason
     */
    boolean write(UUID carId, CareEntryDocument entry) {
        CareEntry wanted = Care.entry(entry);
        Optional<BuildDocument> build = newestBuild(carId);
        return books.write(Kind.CAR, carId, wanted.id(), json.writeValueAsString(entry), before -> Care.book(
                                build, read(before), catalogue.parts())
                        .refusal(wanted)
                        .ifPresent(why -> {
                            throw Problem.refused("/on", entry.on(), why);
                        }))
                .fresh();
    }
}
