package isotherm.server.store;

/** Stored duties. */
interface DutyRepository extends PartRepository<DutyEntity> {}
