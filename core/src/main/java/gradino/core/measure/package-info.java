/**
 * From trials and tape to a range with its uncertainty. Read {@link gradino.core.measure.RangeState} first. May use quantity, because, body and intake.
 */
@NullMarked
package gradino.core.measure;

import org.jspecify.annotations.NullMarked;
