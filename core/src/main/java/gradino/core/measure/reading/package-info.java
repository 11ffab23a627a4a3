/**
 * Trials and tape, and the range they come to. Read {@link gradino.core.measure.reading.RangeState} first. Uses noise.
 */
@NullMarked
package gradino.core.measure.reading;

import org.jspecify.annotations.NullMarked;
