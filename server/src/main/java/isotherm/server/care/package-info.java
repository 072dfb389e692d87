/** A car's care as it is shown and written. */
package isotherm.server.care;
