/** Takeoff, fittings, hoses and their routes: what goes together, how long it is, and what it does to the oil. */
package isotherm.core.plumb;
