/** Parts that can be bought: invented makers, generic sizes. */
package isotherm.core.catalogue;
