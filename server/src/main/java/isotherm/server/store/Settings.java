package isotherm.server.store;

import jakarta.persistence.EntityManager;
import jakarta.persistence.PersistenceContext;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What holds for the garage as a whole. */
@Service
@Transactional
public class Settings {
    /** Version while nobody has chosen anything. */
    public static final int UNTOUCHED = -1;

    @PersistenceContext
    private EntityManager entities;

    /** @return the settings; version {@link #UNTOUCHED} while nobody has chosen anything */
    @Transactional(readOnly = true)
    public Stored read() {
        SettingsEntity there = entities.find(SettingsEntity.class, SettingsEntity.ONLY);
        return there == null ? new Stored(SettingsEntity.ONLY, UNTOUCHED, "{}") : stored(there);
    }

    /**
     * @param basedOn version that the writer had read
     * @param document new JSON text
     * @return what is stored now
     * @throws StaleVersion when somebody else has changed it since
     */
    public Stored replace(int basedOn, String document) {
        Stored before = read();
        if (before.version() != basedOn) {
            throw new StaleVersion(before);
        }
        SettingsEntity there = entities.find(SettingsEntity.class, SettingsEntity.ONLY);
        if (there == null) {
            there = new SettingsEntity(document);
            entities.persist(there);
        } else {
            there.replace(document);
        }
        entities.flush();
        return stored(there);
    }

    private static Stored stored(SettingsEntity e) {
        return new Stored(e.id(), e.version(), e.document());
    }
}
