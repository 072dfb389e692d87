package isotherm.server.store;

import jakarta.persistence.EntityManager;
import jakarta.persistence.PersistenceContext;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who changed what of a car last, and when. */
@Service
public class Changes {
    /** A document's name is its own; accounts keep their names when they leave. */
    private static final String QUERY =
            """
            select t.kind, cast(t.id as text), cast(t.document as json) ->> 'name', a.name, t.changed_at
            from (
                select 'CAR' as kind, id, document, changed_by, changed_at from car where id = :car
                union all select 'DUTY', id, document, changed_by, changed_at from duty where car_id = :car
                union all select 'DESIGN', id, document, changed_by, changed_at from design where car_id = :car
                union all select 'LOG', id, document, changed_by, changed_at from log where car_id = :car
                union all select 'BUILD', id, document, changed_by, changed_at from build where car_id = :car
            ) t left join account a on a.id = t.changed_by
            where t.changed_at is not null
            order by t.changed_at desc
            limit 100""";

    @PersistenceContext
    private EntityManager entities;

    /**
     * A change.
     *
     * @param kind of what
     * @param id its identity
     * @param name its name
     * @param by name of the account; empty where nobody had signed in
     * @param at when
     */
    public record Change(Kind kind, UUID id, String name, Optional<String> by, Instant at) {}

    /**
     * @param carId a car
     * @return the last change of everything of it, newest first; nothing of what nobody has touched since it was kept by an earlier
     *     version
     */
    @Transactional(readOnly = true)
    public List<Change> of(UUID carId) {
        List<?> rows =
                entities.createNativeQuery(QUERY).setParameter("car", carId).getResultList();
        return rows.stream()
                .map(Object[].class::cast)
                .map(r -> new Change(
                        Kind.valueOf((String) r[0]),
                        UUID.fromString((String) r[1]),
                        (String) r[2],
                        Optional.ofNullable((String) r[3]),
                        (Instant) r[4]))
                .toList();
    }
}
