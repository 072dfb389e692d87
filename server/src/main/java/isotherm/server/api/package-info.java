/** The HTTP API: garage and outcome, with problem details that name the field and its range. */
package isotherm.server.api;
