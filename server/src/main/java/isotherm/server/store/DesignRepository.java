package isotherm.server.store;

/** Stored designs. */
interface DesignRepository extends PartRepository<DesignEntity> {}
