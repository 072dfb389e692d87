package isotherm.server.store;

import jakarta.persistence.EntityManager;
import jakarta.persistence.PersistenceContext;
import java.io.IOException;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Puts into the garage what was kept elsewhere, under the identity that it had there. All of it happens inside the caller's
 * transaction: it comes in whole or not at all.
 */
@Service
@Transactional(propagation = Propagation.MANDATORY, rollbackFor = Exception.class)
public class Intake {
    private static final List<Class<?>> KINDS = List.of(
            CarEntity.class,
            DutyEntity.class,
            DesignEntity.class,
            LogEntity.class,
            BuildEntity.class,
            BuildEntryEntity.class,
            BuildPictureEntity.class,
            CarPictureEntity.class,
            CareEntryEntity.class,
            CataloguePartEntity.class);

    /** Identities that are asked for at once. */
    private static final int PORTION = 5000;

    @PersistenceContext
    private EntityManager entities;

    private final LargeStore large;

    Intake(LargeStore large) {
        this.large = large;
    }

    /**
     * @param ids identities
     * @return whether anything is kept under any of them
     */
    public boolean taken(Collection<UUID> ids) {
        List<UUID> all = List.copyOf(ids);
        for (int from = 0; from < all.size(); from += PORTION) {
            List<UUID> portion = all.subList(from, Math.min(all.size(), from + PORTION));
            for (Class<?> kind : KINDS) {
                boolean there = !entities.createQuery(
                                "select e.id from " + kind.getSimpleName() + " e where e.id in :ids", UUID.class)
                        .setParameter("ids", portion)
                        .setMaxResults(1)
                        .getResultList()
                        .isEmpty();
                if (there) {
                    return true;
                }
            }
        }
        return false;
    }

    /**
     * @param kind a car, duty, design or build
     * @param id its identity
     * @param carId the car that it belongs to
     * @param document its JSON text
     */
    public void put(Kind kind, UUID id, UUID carId, String document) {
        entities.persist(
                switch (kind) {
                    case CAR -> new CarEntity(id, document);
                    case DUTY -> new DutyEntity(id, carId, document);
                    case DESIGN -> new DesignEntity(id, carId, document);
                    case BUILD -> new BuildEntity(id, carId, document);
                    case LOG -> throw new IllegalArgumentException("A log comes with its rows");
                });
        // At once, so that what came first is the older one.
        entities.flush();
    }

    /**
     * @param id identity of a log
     * @param carId the car that it belongs to
     * @param filling writes its pieces
     * @throws IOException when its source cannot be read
     */
    public void putLog(UUID id, UUID carId, LargeStore.Filling filling) throws IOException {
        large.keep(id, carId, filling);
    }

    /**
     * @param book a build's sheet or a car's care book
     * @param owner the build or the car
     * @param id identity of an entry
     * @param ordinal its place in the book
     * @param document the entry as JSON text
     */
    public void putEntry(Kind book, UUID owner, UUID id, int ordinal, String document) {
        entities.persist(
                book == Kind.BUILD
                        ? new BuildEntryEntity(id, owner, ordinal, document)
                        : new CareEntryEntity(id, owner, ordinal, document));
    }

    /**
     * @param owner whether it is a build's or a car's
     * @param ownerId the build or the car
     * @param id identity of a picture
     * @param data the picture
     */
    public void putPicture(Kind owner, UUID ownerId, UUID id, byte[] data) {
        entities.persist(Books.picture(owner, ownerId, id, data));
        entities.flush();
        entities.clear();
    }

    /**
     * @param family a family of catalogue parts
     * @param id identity of a part
     * @param document its JSON text
     */
    public void putPart(String family, UUID id, String document) {
        entities.persist(new CataloguePartEntity(id, family, document));
        entities.flush();
    }
}
