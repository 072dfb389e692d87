/** A car with a new cooler on its stands, as gauges would show it: what ships instead of a car to try the work on. */
package isotherm.core.trial;
