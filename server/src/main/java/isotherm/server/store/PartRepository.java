package isotherm.server.store;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.repository.NoRepositoryBean;

/** Stored parts of a car. */
@NoRepositoryBean
interface PartRepository<E extends PartEntity> extends JpaRepository<E, UUID> {
    List<E> findByCarIdOrderByCreatedAtAscIdAsc(UUID carId);
}
