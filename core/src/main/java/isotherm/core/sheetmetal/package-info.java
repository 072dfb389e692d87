/** Brackets folded from sheet: flat patterns, bends and what stands in their way. */
package isotherm.core.sheetmetal;
