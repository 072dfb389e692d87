/** How a takeoff goes onto the engine, and what does not fit about it. */
package isotherm.core.takeoff;
