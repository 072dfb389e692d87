/** The nose of a car as measured by tape, and what a core's position in it means for the air. */
package isotherm.core.nose;
