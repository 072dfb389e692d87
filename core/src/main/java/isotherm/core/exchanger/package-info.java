/** Heat exchange and pressure loss of an oil cooler core: published surface correlations and the effectiveness method. */
package isotherm.core.exchanger;
