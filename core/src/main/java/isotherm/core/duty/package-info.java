/** What the car has to do: laps, climbs, cruises, as a demand on the engine second by second. */
package isotherm.core.duty;
