/** How much heat an engine puts into its oil: three schools behind one interface. */
package isotherm.core.heat;
