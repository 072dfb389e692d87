package isotherm.server.store;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Stored cars. */
interface CarRepository extends JpaRepository<CarEntity, UUID> {
    List<CarEntity> findAllByOrderByCreatedAtAscIdAsc();

    /** Which texts of cars there are, oldest first, without reading them. */
    @Query(
            "select new isotherm.server.store.Edition(c.id, c.version, c.createdAt) from CarEntity c order by c.createdAt, c.id")
    List<Edition> editions();
}
