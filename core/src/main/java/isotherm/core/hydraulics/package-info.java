/** The oil circuit: pump, relief valve, the loop to the cooler, and what pressure is left in the gallery. */
package isotherm.core.hydraulics;
