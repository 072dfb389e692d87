/** Requests that nobody would send, made from the server's own description of what it takes. */
package isotherm.server.fuzz;
