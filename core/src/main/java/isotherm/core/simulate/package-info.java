/** Car, duty and design together in time: the session, its figures of merit and its energy balance. */
package isotherm.core.simulate;
