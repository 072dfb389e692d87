package isotherm.server.store;

import jakarta.persistence.EntityManager;
import jakarta.persistence.PersistenceContext;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the database says of itself and of what lies in it. */
@Service
public class GarageFigures {
    @PersistenceContext
    private EntityManager entities;

    /**
     * Figures of a moment.
     *
     * @param cars cars that are kept
     * @param bytes what the database takes on disk
     * @param sessions browsers in which somebody has signed in
     * @param version version of PostgreSQL
     * @param tables version of the tables
     */
    public record Figures(long cars, long bytes, long sessions, String version, String tables) {}

    /** @return how it stands now */
    @Transactional(readOnly = true)
    public Figures now() {
        Object[] row = (Object[]) entities.createNativeQuery(
                        """
                        select (select count(*) from car), pg_database_size(current_database()),
                            (select count(*) from spring_session where expiry_time > extract(epoch from now()) * 1000),
                            current_setting('server_version'),
                            (select version from flyway_schema_history where success order by installed_rank desc limit 1)""")
                .getSingleResult();
        return new Figures(
                ((Number) row[0]).longValue(),
                ((Number) row[1]).longValue(),
                ((Number) row[2]).longValue(),
                (String) row[3],
                (String) row[4]);
    }
}
