/** What a log says about the model's uncertain numbers, and how sure it is of each. */
package isotherm.core.fit;
