/** Questions about a session, and their answers. */
package isotherm.server.session;
