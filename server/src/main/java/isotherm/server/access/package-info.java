/** Who is let in: this machine alone, and no page from elsewhere. */
package isotherm.server.access;
