/** Storage: entities and repositories. Entities never leave this package; {@link isotherm.server.store.Garage} is its door. */
package isotherm.server.store;
