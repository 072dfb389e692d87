/** Questions about everything between engine and core, and their answers; the parts. */
package isotherm.server.plumbing;
