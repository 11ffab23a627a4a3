/**
 * Measurements and ranges. Read {@link gradino.server.measure.MeasureService} first. May use platform, account and intake.
 */
@NullMarked
package gradino.server.measure;

import org.jspecify.annotations.NullMarked;
