/** The Isotherm server. */
package isotherm.server;
