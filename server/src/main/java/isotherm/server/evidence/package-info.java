/** Documents of logs: their format, what was read, and what a log says of a drive. */
package isotherm.server.evidence;
