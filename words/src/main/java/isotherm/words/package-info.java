/** Puts words and units to what the rules say. */
package isotherm.words;
