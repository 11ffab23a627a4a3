/**
 * What limits a motion, and which motion comes first. Read {@link gradino.core.measure.limit.Limiter} first. Uses noise and reading.
 */
@NullMarked
package gradino.core.measure.limit;

import org.jspecify.annotations.NullMarked;
