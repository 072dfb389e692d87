/** The fluids of the job, engine oil and air, as functions of temperature and pressure in SI units. */
package isotherm.core.fluid;
