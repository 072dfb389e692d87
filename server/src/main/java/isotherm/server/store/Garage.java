package isotherm.server.store;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The stored garage: documents in, documents out, each write based on a version. */
@Service
@Transactional
public class Garage {
    private final CarRepository cars;
    private final DutyRepository duties;
    private final DesignRepository designs;
    private final LogRepository logs;
    private final BuildRepository builds;
    private final CataloguePartRepository parts;

    Garage(
            CarRepository cars,
            DutyRepository duties,
            DesignRepository designs,
            LogRepository logs,
            BuildRepository builds,
            CataloguePartRepository parts) {
        this.cars = cars;
        this.duties = duties;
        this.designs = designs;
        this.logs = logs;
        this.builds = builds;
        this.parts = parts;
    }

    /** @return all cars, oldest first */
    @Transactional(readOnly = true)
    public List<Stored> cars() {
        return cars.findAllByOrderByCreatedAtAscIdAsc().stream()
                .map(Garage::stored)
                .toList();
    }

    /**
     * @param kind duties, designs, logs or builds
     * @param carId a car
     * @return that car's, oldest first
     */
    @Transactional(readOnly = true)
    public List<Stored> parts(Kind kind, UUID carId) {
        return partsOf(kind).findByCarIdOrderByCreatedAtAscIdAsc(carId).stream()
                .map(Garage::stored)
                .toList();
    }

    /**
     * @param kind what it is
     * @param id its identity
     * @return what is stored
     * @throws NotStored when nothing is
     */
    @Transactional(readOnly = true)
    public Stored get(Kind kind, UUID id) {
        return stored(entity(kind, id));
    }

    /**
     * @param document the car's JSON text
     * @return the new car
     */
    public Stored addCar(String document) {
        return stored(cars.saveAndFlush(new CarEntity(UUID.randomUUID(), document)));
    }

    /**
     * A car with its first duty and design, all or none of them.
     *
     * @param car the car's JSON text
     * @param duty the duty's
     * @param design the design's
     * @return the new car
     */
    public Stored addCar(String car, String duty, String design) {
        Stored stored = addCar(car);
        addPart(Kind.DUTY, stored.id(), duty);
        addPart(Kind.DESIGN, stored.id(), design);
        return stored;
    }

    /**
     * @param kind duty, design or build
     * @param carId the car it belongs to
     * @param document its JSON text
     * @return the new part
     * @throws NotStored when there is no such car
     */
    public Stored addPart(Kind kind, UUID carId, String document) {
        entity(Kind.CAR, carId);
        UUID id = UUID.randomUUID();
        return stored(
                switch (kind) {
                    case DUTY -> duties.saveAndFlush(new DutyEntity(id, carId, document));
                    case DESIGN -> designs.saveAndFlush(new DesignEntity(id, carId, document));
                    case BUILD -> builds.saveAndFlush(new BuildEntity(id, carId, document));
                    case CAR, LOG -> throw new IllegalArgumentException(kind + " is not added as a document");
                });
    }

    /**
     * @param kind what it is
     * @param id its identity
     * @param basedOn version that the writer had read
     * @param document new JSON text
     * @return what is stored now
     * @throws NotStored when nothing is stored there
     * @throws StaleVersion when somebody else has changed it since
     */
    public Stored replace(Kind kind, UUID id, int basedOn, String document) {
        StoredEntity entity = entity(kind, id);
        if (entity.version() != basedOn) {
            throw new StaleVersion(stored(entity));
        }
        entity.replace(document);
        repository(kind).flush();
        return stored(entity);
    }

    /**
     * @param kind duty or design
     * @param id its identity
     * @param basedOn version that the writer had read
     * @throws NotStored when nothing is stored there
     * @throws StaleVersion when somebody else has changed it since
     */
    public void remove(Kind kind, UUID id, int basedOn) {
        StoredEntity entity = entity(kind, id);
        if (entity.version() != basedOn) {
            throw new StaleVersion(stored(entity));
        }
        repository(kind).deleteById(id);
        repository(kind).flush();
    }

    private StoredEntity entity(Kind kind, UUID id) {
        return repository(kind).findById(id).orElseThrow(() -> new NotStored(kind, id));
    }

    private JpaRepository<? extends StoredEntity, UUID> repository(Kind kind) {
        return kind == Kind.CAR ? cars : partsOf(kind);
    }

    private PartRepository<? extends PartEntity> partsOf(Kind kind) {
        return switch (kind) {
            case DUTY -> duties;
            case DESIGN -> designs;
            case LOG -> logs;
            case BUILD -> builds;
            case CAR -> throw new IllegalArgumentException("A car is not a part of a car");
        };
    }

    /**
     * @param id a part of a car
     * @param kind what it is
     * @return the car that it belongs to
     * @throws NotStored when nothing is stored there
     */
    @Transactional(readOnly = true)
    public UUID carOf(Kind kind, UUID id) {
        return partsOf(kind)
                .findById(id)
                .orElseThrow(() -> new NotStored(kind, id))
                .carId();
    }

    /**
     * @param family a family of catalogue parts
     * @return the garage's own parts of it, oldest first
     */
    @Transactional(readOnly = true)
    public List<Stored> ownParts(String family) {
        return parts.findByFamilyOrderByCreatedAtAscIdAsc(family).stream()
                .map(Garage::stored)
                .toList();
    }

    /**
     * A part of the garage's own, of any family.
     *
     * @param family its family
     * @param part the part
     */
    public record OwnPart(String family, Stored part) {}

    /** @return all of the garage's own parts, oldest first */
    @Transactional(readOnly = true)
    public List<OwnPart> ownParts() {
        return parts.findAllByOrderByCreatedAtAscIdAsc().stream()
                .map(e -> new OwnPart(e.family(), stored(e)))
                .toList();
    }

    /**
     * @param family a family of catalogue parts
     * @param document JSON text of a part
     * @return the new part
     */
    public Stored addOwnPart(String family, String document) {
        return stored(parts.saveAndFlush(new CataloguePartEntity(UUID.randomUUID(), family, document)));
    }

    /**
     * @param id a part of the garage's own
     * @param basedOn version that the writer had read
     * @param document new JSON text
     * @return what is stored now
     * @throws NotStored when nothing is stored there
     * @throws StaleVersion when somebody else has changed it since
     */
    public Stored replaceOwnPart(UUID id, int basedOn, String document) {
        CataloguePartEntity part = ownPart(id, basedOn);
        part.replace(document);
        parts.flush();
        return stored(part);
    }

    /**
     * @param id a part of the garage's own
     * @param basedOn version that the writer had read
     * @throws NotStored when nothing is stored there
     * @throws StaleVersion when somebody else has changed it since
     */
    public void removeOwnPart(UUID id, int basedOn) {
        parts.delete(ownPart(id, basedOn));
        parts.flush();
    }

    private CataloguePartEntity ownPart(UUID id, int basedOn) {
        CataloguePartEntity part = parts.findById(id).orElseThrow(() -> new NotStored("part", id));
        if (part.version() != basedOn) {
            throw new StaleVersion(stored(part));
        }
        return part;
    }

    private static Stored stored(StoredEntity e) {
        return new Stored(e.id(), e.version(), e.document());
    }
}
