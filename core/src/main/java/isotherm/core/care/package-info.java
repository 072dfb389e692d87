/** What a car with a cooler needs after it is built: tasks, what was done of them, and what is due by date, distance, hours or events. */
package isotherm.core.care;
