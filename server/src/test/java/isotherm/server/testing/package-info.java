/** The running application for the tests of this module and of the end-to-end tests. */
package isotherm.server.testing;
