/**
 * The run sheet: what is done in which order when a design is built, what must not be done yet, and what the gauges say while
 * it is done. Figures are estimates unless their source says otherwise; the maker's figure comes first.
 */
package isotherm.core.sheet;
