/** The catalogue as a garage sees it: the shipped parts, with its own entries and prices over them. */
package isotherm.server.catalogue;
