/**
 * A line, its blocks and the timeline they compile to. Read {@link gradino.core.prescribe.Plan} first. May use quantity, because, body, intake and measure.
 */
@NullMarked
package gradino.core.prescribe;

import org.jspecify.annotations.NullMarked;
