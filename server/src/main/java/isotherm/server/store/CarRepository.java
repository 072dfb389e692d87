package isotherm.server.store;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Stored cars. */
interface CarRepository extends JpaRepository<CarEntity, UUID> {
    List<CarEntity> findAllByOrderByCreatedAtAscIdAsc();
}
