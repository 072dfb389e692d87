package isotherm.server.api;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import isotherm.server.contract.Attempt;
import isotherm.server.garage.CarDocument;
import isotherm.server.store.Edition;
import isotherm.server.store.Garage;
import isotherm.server.store.Stored;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What the cars of the garage are called. Each text of a car is read once: reading a thousand takes half a second. */
@Component
class CarList {
    private static final int REMEMBERED = 10_000;

    private final Garage garage;
    private final JsonMapper json;
    private final Cache<Edition, Views.CarSummary> read =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    CarList(Garage garage, JsonMapper json) {
        this.garage = garage;
        this.json = json;
    }

    /** @return every car, oldest first */
    List<Views.CarSummary> all() {
        List<Edition> cars = garage.editions();
        Map<Edition, Views.CarSummary> known = read.getAll(cars, this::summaries);
        // One that was removed or changed in between is not there, or under a later edition, and the next look shows
        // it.
        return cars.stream().filter(known::containsKey).map(known::get).toList();
    }

    private Map<Edition, Views.CarSummary> summaries(Set<? extends Edition> wanted) {
        Map<UUID, Stored> texts = garage.cars(wanted.stream().map(Edition::id).toList()).stream()
                .collect(Collectors.toMap(Stored::id, Function.identity()));
        return wanted.stream()
                .filter(e -> texts.containsKey(e.id()) && texts.get(e.id()).version() == e.version())
                .collect(Collectors.toMap(Function.identity(), e -> summary(texts.get(e.id()))));
    }

    private Views.CarSummary summary(Stored car) {
        Attempt<CarDocument> attempt = Attempt.read(car.document(), CarDocument.class);
        return new Views.CarSummary(
                car.id(),
                attempt.found().map(CarDocument::name).orElseGet(() -> BrokenController.name(json, car.document())),
                attempt.found().isEmpty());
    }
}
