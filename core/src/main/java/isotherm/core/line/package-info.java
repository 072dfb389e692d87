/** A hose with its two ends: fittings, length, cut list, and the order of work at the bench. */
package isotherm.core.line;
