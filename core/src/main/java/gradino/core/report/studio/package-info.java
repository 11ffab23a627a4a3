/**
 * What work came to over many clients, by motion and by method, with n and intervals. Read
 * {@link gradino.core.report.studio.StudioReport} first. Uses report and everything before it.
 */
@NullMarked
package gradino.core.report.studio;

import org.jspecify.annotations.NullMarked;
