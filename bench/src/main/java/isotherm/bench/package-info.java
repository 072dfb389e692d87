/** JMH benchmarks of core. */
package isotherm.bench;
