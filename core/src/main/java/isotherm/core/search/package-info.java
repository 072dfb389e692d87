/** Which designs hold the target, and what each of them costs. */
package isotherm.core.search;
