/** A program with nothing in it. */
@NullMarked
package isotherm.bench.bare;

import org.jspecify.annotations.NullMarked;
