/** Logs: reading whatever a logger writes, keeping it in chunks, and what is made of it (a duty, a picture, a fit). */
package isotherm.server.logs;
