/** The car and the design as everything else knows them. */
package isotherm.core.car;
