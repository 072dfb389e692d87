/** What earlier versions saved and answered: it stays readable, and its figures stay the same. */
package isotherm.server.kept;
