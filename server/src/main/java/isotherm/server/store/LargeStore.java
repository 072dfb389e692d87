package isotherm.server.store;

import jakarta.persistence.EntityManager;
import jakarta.persistence.PersistenceContext;
import java.io.IOException;
import java.io.InputStream;
import java.time.Instant;
import java.util.UUID;
import java.util.function.Consumer;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What is too large for one row: files on their way in, and the rows of logs. Both are written in pieces inside one
 * transaction, so that a server that dies half-way leaves nothing half-kept, and read piece by piece.
 */
@Service
public class LargeStore {
    private static final int UPLOAD_PIECE = 1 << 20;

    @PersistenceContext
    private EntityManager entities;

    private final LogRepository logs;

    LargeStore(LogRepository logs) {
        this.logs = logs;
    }

    /**
     * A file on its way in.
     *
     * @param id its identity
     * @param carId the car that it belongs to
     * @param name its name
     */
    public record Upload(UUID id, UUID carId, String name) {}

    /** Takes the pieces of something large, in their order. */
    public interface Pieces {
        /** @param data the next piece */
        void add(byte[] data);
    }

    /** Writes the pieces of a log and says what it holds. */
    public interface Filling {
        /**
         * @param pieces takes the pieces
         * @return the log's document as JSON text
         * @throws IOException when its source cannot be read
         */
        String fill(Pieces pieces) throws IOException;
    }

    /**
     * @param id its identity
     * @param carId the car that it belongs to
     * @param name name of the file
     * @param in its content, which is there already: no connection is held while somebody sends
     * @param most bytes that are taken at most
     * @return the upload
     * @throws IOException when the content cannot be read
     * @throws TooLarge when there is more of it
     * @throws NotStored when there is no such car
     */
    @Transactional(rollbackFor = Exception.class)
    public Upload upload(UUID id, UUID carId, String name, InputStream in, long most) throws IOException {
        if (entities.find(CarEntity.class, carId) == null) {
            throw new NotStored(Kind.CAR, carId);
        }
        UploadEntity there = entities.find(UploadEntity.class, id);
        if (there != null) {
            if (!there.carId().equals(carId) || !there.name().equals(name)) {
                throw new IdentityTaken(id);
            }
            return new Upload(id, carId, name);
        }
        UploadEntity upload = new UploadEntity(id, carId, name);
        entities.persist(upload);
        long size = 0;
        int ordinal = 0;
        for (byte[] piece = in.readNBytes(UPLOAD_PIECE); piece.length > 0; piece = in.readNBytes(UPLOAD_PIECE)) {
            size += piece.length;
            if (size > most) {
                throw new TooLarge(most);
            }
            entities.persist(new UploadPieceEntity(upload.id(), ordinal++, piece));
            entities.flush();
            entities.clear();
        }
        return new Upload(upload.id(), carId, name);
    }

    /**
     * @param id an upload
     * @return what is known of it
     * @throws NotStored when there is none
     */
    @Transactional(readOnly = true)
    public Upload upload(UUID id) {
        UploadEntity u = entities.find(UploadEntity.class, id);
        if (u == null) {
            throw new NotStored("upload", id);
        }
        return new Upload(id, u.carId(), u.name());
    }

    /**
     * @param id an upload
     * @return its content; every piece is read when it is needed
     */
    public InputStream open(UUID id) {
        return new InputStream() {
            private byte[] piece = new byte[0];
            private int at;
            private int ordinal;

            @Override
            public int read() {
                return fill() ? piece[at++] & 0xff : -1;
            }

            @Override
            public int read(byte[] buffer, int from, int length) {
                if (length == 0) {
                    return 0;
                }
                if (!fill()) {
                    return -1;
                }
                int n = Math.min(length, piece.length - at);
                System.arraycopy(piece, at, buffer, from, n);
                at += n;
                return n;
            }

            private boolean fill() {
                while (at == piece.length) {
                    UploadPieceEntity next = entities.find(UploadPieceEntity.class, new Piece(id, ordinal++));
                    if (next == null) {
                        return false;
                    }
                    piece = next.data();
                    at = 0;
                    entities.clear();
                }
                return true;
            }
        };
    }

    /** @param id an upload that is not needed any more */
    @Transactional
    public void forget(UUID id) {
        UploadEntity u = entities.find(UploadEntity.class, id);
        if (u != null) {
            entities.remove(u);
        }
    }

    /**
     * @param before files that came in before this moment and were never kept are forgotten
     * @return how many
     */
    @Transactional
    public int forgetUploads(Instant before) {
        return entities.createQuery("delete from UploadEntity u where u.createdAt < :before")
                .setParameter("before", before)
                .executeUpdate();
    }

    /**
     * Keeps a log whole or not at all.
     *
     * @param id its identity
     * @param carId the car that it belongs to
     * @param filling writes its pieces
     * @return what is stored
     * @throws IOException when its source cannot be read
     * @throws NotStored when there is no such car
     */
    @Transactional(rollbackFor = Exception.class)
    public Stored keep(UUID id, UUID carId, Filling filling) throws IOException {
        if (entities.find(CarEntity.class, carId) == null) {
            throw new NotStored(Kind.CAR, carId);
        }
        logs.saveAndFlush(new LogEntity(id, carId, "{}"));
        int[] ordinal = {0};
        String document = filling.fill(data -> {
            entities.persist(new LogPieceEntity(id, ordinal[0]++, data));
            entities.flush();
            entities.clear();
        });
        LogEntity log = entities.find(LogEntity.class, id);
        log.replace(document);
        entities.flush();
        return new Stored(id, log.version(), document);
    }

    /**
     * @param id a log
     * @param reader given each piece in turn
     */
    @Transactional(readOnly = true)
    public void pieces(UUID id, Consumer<byte[]> reader) {
        for (int ordinal = 0; ; ordinal++) {
            LogPieceEntity next = entities.find(LogPieceEntity.class, new Piece(id, ordinal));
            if (next == null) {
                return;
            }
            reader.accept(next.data());
            entities.clear();
        }
    }

    /** More was sent than is taken. */
    public static final class TooLarge extends RuntimeException {
        private static final long serialVersionUID = 1L;

        /** @param most bytes that are taken */
        public TooLarge(long most) {
            super("This file is larger than " + most / 1_000_000 + " MB, the most that is taken");
        }
    }
}
