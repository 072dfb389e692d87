/**
 * The open documents (car, duty, design, outcome) as they go over HTTP, into files and through {@code solve}: one set of
 * records, one reader that finds every problem at once, and the way into and out of {@code core}.
 */
package isotherm.server.document;
