/**
 * Lines and their plans. Read {@link gradino.server.prescribe.LineService} first. May use platform, intake and measure.
 */
@NullMarked
package gradino.server.prescribe;

import org.jspecify.annotations.NullMarked;
