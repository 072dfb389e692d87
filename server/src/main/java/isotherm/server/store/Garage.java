package isotherm.server.store;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
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
     * @param ids identities of cars
     * @return those of them that are here, in any order
     */
    @Transactional(readOnly = true)
    public List<Stored> cars(Collection<UUID> ids) {
        return cars.findAllById(ids).stream().map(Garage::stored).toList();
    }

    /** @return which cars there are, oldest first, without their texts */
    @Transactional(readOnly = true)
    public List<Edition> editions() {
        return cars.editions();
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
     * Adds a car, or finds it: whoever did not hear that it arrived sends it once more under the same identity.
     *
     * @param id its identity
     * @param document the car's JSON text
     * @return the car
     * @throws IdentityTaken when something else is stored under that identity
     */
    public Stored addCar(UUID id, String document) {
        return cars.findById(id)
                .map(there -> again(there, document))
                .orElseGet(() -> stored(cars.saveAndFlush(new CarEntity(id, document))));
    }

    /**
     * A car with its first duty and design, all or none of them.
     *
     * @param id the car's identity
     * @param car the car's JSON text
     * @param duty the duty's
     * @param design the design's
     * @return the car
     * @throws IdentityTaken when something else is stored under that identity
     */
    public Stored addCar(UUID id, String car, String duty, String design) {
        boolean fresh = !cars.existsById(id);
        Stored stored = addCar(id, car);
        if (fresh) {
            addPart(Kind.DUTY, UUID.randomUUID(), id, duty);
            addPart(Kind.DESIGN, UUID.randomUUID(), id, design);
        }
        return stored;
    }

    /**
     * Adds a part of a car, or finds it when it was sent before.
     *
     * @param kind duty, design or build
     * @param id its identity
     * @param carId the car it belongs to
     * @param document its JSON text
     * @return the part
     * @throws NotStored when there is no such car
     * @throws IdentityTaken when something else is stored under that identity
     */
    public Stored addPart(Kind kind, UUID id, UUID carId, String document) {
        entity(Kind.CAR, carId);
        Optional<? extends PartEntity> there = partsOf(kind).findById(id);
        if (there.isPresent()) {
            if (!there.get().carId().equals(carId)) {
                throw new IdentityTaken(id);
            }
            return again(there.get(), document);
        }
        return stored(
                switch (kind) {
                    case DUTY -> duties.saveAndFlush(new DutyEntity(id, carId, document));
                    case DESIGN -> designs.saveAndFlush(new DesignEntity(id, carId, document));
                    case BUILD -> builds.saveAndFlush(new BuildEntity(id, carId, document));
                    case CAR, LOG -> throw new IllegalArgumentException(kind + " is not added as a document");
                });
    }

    /** What was changed since it was added can no longer be compared with what was sent first. */
    private static Stored again(StoredEntity there, String document) {
        if (there.version() == 0 && !there.document().equals(document)) {
            throw new IdentityTaken(there.id());
        }
        return stored(there);
    }

    /**
     * @param kind what it is
     * @param id its identity
     * @return what is stored, if anything is
     */
    @Transactional(readOnly = true)
    public Optional<Stored> find(Kind kind, UUID id) {
        return repository(kind).findById(id).map(Garage::stored);
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

    /** Lets nobody else add or change own parts until this transaction ends, so that two of one name cannot come to be. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void lockOwnParts() {
        parts.lock();
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
     * Many parts at once, of whoever has locked them.
     *
     * @param family a family of catalogue parts
     * @param fresh JSON texts of parts that are new
     * @param changed new JSON texts of parts that are there, by their identities
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void putOwnParts(String family, List<String> fresh, Map<UUID, String> changed) {
        parts.saveAll(fresh.stream()
                .map(document -> new CataloguePartEntity(UUID.randomUUID(), family, document))
                .toList());
        parts.findAllById(changed.keySet()).forEach(e -> e.replace(changed.get(e.id())));
        parts.flush();
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

    /**
     * @param id a part of the garage's own
     * @return the part
     * @throws NotStored when nothing is stored there
     */
    @Transactional(readOnly = true)
    public OwnPart ownPart(UUID id) {
        return parts.findById(id)
                .map(e -> new OwnPart(e.family(), stored(e)))
                .orElseThrow(() -> new NotStored("part", id));
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
