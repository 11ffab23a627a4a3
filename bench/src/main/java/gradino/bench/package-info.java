/** Measures speed, side by side with its target; never a test. Read {@link gradino.bench.Bench} first. */
@NullMarked
package gradino.bench;

import org.jspecify.annotations.NullMarked;
