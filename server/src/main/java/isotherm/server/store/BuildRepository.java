package isotherm.server.store;

/** Stored builds. */
interface BuildRepository extends PartRepository<BuildEntity> {}
