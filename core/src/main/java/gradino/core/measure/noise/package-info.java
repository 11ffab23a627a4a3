/**
 * How well measuring repeats. Read {@link gradino.core.measure.noise.Repeatability} first. Uses no other room of measuring.
 */
@NullMarked
package gradino.core.measure.noise;

import org.jspecify.annotations.NullMarked;
