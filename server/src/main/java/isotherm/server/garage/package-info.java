/** A garage's documents: cars, duties, designs, bays and noses, as they go over HTTP, into files and through {@code solve}, and the way into and out of {@code core}. */
package isotherm.server.garage;
