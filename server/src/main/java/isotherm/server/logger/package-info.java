/** The simulated data logger that ships with the application: the model with noise, dropouts and faults. */
package isotherm.server.logger;
