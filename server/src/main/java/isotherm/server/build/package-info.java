/** Builds as they are worked through: what is written on their sheets, their pictures, and the gauges that are listened to. */
package isotherm.server.build;
