package isotherm.server.store;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Parts of the garage's own. */
interface CataloguePartRepository extends JpaRepository<CataloguePartEntity, UUID> {
    /** An advisory lock of PostgreSQL that ends with the transaction; its number only has to be the same everywhere. */
    @Query(value = "select cast(pg_advisory_xact_lock(1746295) as text)", nativeQuery = true)
    String lock();

    List<CataloguePartEntity> findAllByOrderByCreatedAtAscIdAsc();

    List<CataloguePartEntity> findByFamilyOrderByCreatedAtAscIdAsc(String family);
}
