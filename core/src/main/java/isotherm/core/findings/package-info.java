/** What is wrong or risky in a design, why, and the change that would mend it. */
package isotherm.core.findings;
