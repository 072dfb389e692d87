/** Where the air comes from, what it meets on its way through the core, and how much of it gets there. */
package isotherm.core.airflow;
