/** Before and after: two logs held against each other, and each against the model. */
package isotherm.server.proof;
