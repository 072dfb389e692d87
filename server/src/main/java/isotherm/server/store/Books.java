package isotherm.server.store;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import jakarta.persistence.PersistenceContext;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is written on run sheets and in care books. It is only ever added to. */
@Service
@Transactional
public class Books {
    @PersistenceContext
    private EntityManager entities;

    /** An entry as it is stored: entities of a thousand entries would each be looked at again when one more is written. */
    record Written(UUID owner, int schemaNumber, String document) {
        String lifted(Kind book) {
            return Schema.lift(book == Kind.BUILD ? Shelf.SHEET_ENTRY : Shelf.CARE_ENTRY, schemaNumber, document);
        }
    }

    /**
     * @param book a build's sheet or a car's care book
     * @param owner the build or the car
     * @return everything that was written in it, as JSON texts, oldest first
     */
    @Transactional(readOnly = true)
    public List<String> entries(Kind book, UUID owner) {
        return written(book, List.of(owner)).map(e -> e.lifted(book)).toList();
    }

    /**
     * @param book build's sheets or cars' care books
     * @param owners builds or cars
     * @return what was written for each of them, oldest first; nothing for those without an entry
     */
    @Transactional(readOnly = true)
    public Map<UUID, List<String>> entries(Kind book, Collection<UUID> owners) {
        return written(book, owners)
                .collect(Collectors.groupingBy(
                        Written::owner, Collectors.mapping(e -> e.lifted(book), Collectors.toList())));
    }

    private Stream<Written> written(Kind book, Collection<UUID> owners) {
        return entities
                .createQuery(
                        "select new isotherm.server.store.Books$Written(e.owner, e.schemaNumber, e.document) from "
                                + entry(book).getSimpleName() + " e where e.owner in :owners order by e.ordinal",
                        Written.class)
                .setParameter("owners", owners)
                .getResultList()
                .stream();
    }

    private static Class<? extends EntryEntity> entry(Kind book) {
        return book == Kind.BUILD ? BuildEntryEntity.class : CareEntryEntity.class;
    }

    /**
     * A book after it was written in.
     *
     * @param fresh whether the entry is new: what is sent twice is written once
     * @param entries everything that is written in it, as JSON texts, oldest first
     */
    public record Book(boolean fresh, List<String> entries) {}

    /**
     * Writes an entry. One that is there already is not written again: whoever did not hear that it arrived sends it once more.
     *
     * @param book a build's sheet or a car's care book
     * @param owner the build or the car
     * @param id identity of the entry, given by whoever wrote it
     * @param document the entry as JSON text
     * @param check told what was written so far; throws when the entry cannot be
     * @return whether it is new, and what the book holds now
     * @throws NotStored when there is no such build or car, or the identity belongs to an entry of another one
     */
    public Book write(Kind book, UUID owner, UUID id, String document, Consumer<List<String>> check) {
        // The owner is locked: what is checked here is still so when it is written.
        Class<? extends StoredEntity> type = book == Kind.BUILD ? BuildEntity.class : CarEntity.class;
        if (entities.find(type, owner, LockModeType.PESSIMISTIC_WRITE) == null) {
            throw new NotStored(book, owner);
        }
        EntryEntity there = entities.find(entry(book), id);
        if (there != null) {
            if (!there.owner().equals(owner)) {
                throw new NotStored("entry of this book", id);
            }
            return new Book(false, entries(book, owner));
        }
        List<String> before = entries(book, owner);
        check.accept(before);
        entities.persist(
                book == Kind.BUILD
                        ? new BuildEntryEntity(id, owner, before.size(), document)
                        : new CareEntryEntity(id, owner, before.size(), document));
        entities.flush();
        return new Book(
                true, Stream.concat(before.stream(), Stream.of(document)).toList());
    }

    /**
     * @param owner whether it is a build's or a car's
     * @param ownerId the build or the car
     * @param id identity of the picture, given by whoever sent it
     * @param data the picture
     * @throws NotStored when there is no such build or car
     * @throws IdentityTaken when another picture, or one of another owner, is stored under that identity
     */
    public void keepPicture(Kind owner, UUID ownerId, UUID id, byte[] data) {
        Class<?> owning = owner == Kind.BUILD ? BuildEntity.class : CarEntity.class;
        if (entities.find(owning, ownerId, LockModeType.PESSIMISTIC_WRITE) == null) {
            throw new NotStored(owner, ownerId);
        }
        PictureEntity there = entities.find(pictures(owner), id);
        if (there == null) {
            entities.persist(picture(owner, ownerId, id, data));
        } else if (!there.owner().equals(ownerId) || !Arrays.equals(there.data(), data)) {
            throw new IdentityTaken(id);
        }
    }

    static Class<? extends PictureEntity> pictures(Kind owner) {
        return owner == Kind.BUILD ? BuildPictureEntity.class : CarPictureEntity.class;
    }

    static PictureEntity picture(Kind owner, UUID ownerId, UUID id, byte[] data) {
        return owner == Kind.BUILD
                ? new BuildPictureEntity(id, ownerId, data)
                : new CarPictureEntity(id, ownerId, data);
    }

    /**
     * @param owner whether they are a build's or a car's
     * @param ownerId the build or the car
     * @return identities of its pictures, oldest first
     */
    @Transactional(readOnly = true)
    public List<UUID> pictures(Kind owner, UUID ownerId) {
        return entities.createQuery(
                        "select p.id from " + pictures(owner).getSimpleName()
                                + " p where p.owner = :owner order by p.createdAt, p.id",
                        UUID.class)
                .setParameter("owner", ownerId)
                .getResultList();
    }

    /**
     * @param owner whether it is a build's or a car's
     * @param ownerId the build or the car
     * @param id a picture
     * @return the picture
     * @throws NotStored when there is none
     */
    @Transactional(readOnly = true)
    public byte[] picture(Kind owner, UUID ownerId, UUID id) {
        PictureEntity picture = entities.find(pictures(owner), id);
        if (picture == null || !picture.owner().equals(ownerId)) {
            throw new NotStored("picture", id);
        }
        return picture.data();
    }
}
