package isotherm.server.store;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Parts of the garage's own. */
interface CataloguePartRepository extends JpaRepository<CataloguePartEntity, UUID> {
    List<CataloguePartEntity> findAllByOrderByCreatedAtAscIdAsc();

    List<CataloguePartEntity> findByFamilyOrderByCreatedAtAscIdAsc(String family);
}
