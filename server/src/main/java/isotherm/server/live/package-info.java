/** What servers on one database tell each other. */
package isotherm.server.live;
