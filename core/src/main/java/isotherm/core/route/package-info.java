/** Routes for hoses through a bay measured by tape: what is in it, how near a hose may come, and the way through. */
package isotherm.core.route;
