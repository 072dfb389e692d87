package isotherm.server.store;

/** Stored logs. */
interface LogRepository extends PartRepository<LogEntity> {}
