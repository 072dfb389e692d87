/** The invented garage: three cars to look at, loaded and removed by a press or at a first start. */
package isotherm.server.demo;
