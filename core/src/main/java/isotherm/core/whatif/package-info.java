/** What one step of each choice would bring, and how each figure came about. */
package isotherm.core.whatif;
