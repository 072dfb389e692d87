/** Fair comparison: of two sessions on different days, and of many designs on one. */
package isotherm.core.compare;
