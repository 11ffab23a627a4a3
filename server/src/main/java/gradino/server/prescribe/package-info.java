/**
 * Lines and their plans, composed sessions, the library and hand-outs. Read {@link gradino.server.prescribe.LineService} first. May use
 * platform, account, intake and measure.
 */
@NullMarked
package gradino.server.prescribe;

import org.jspecify.annotations.NullMarked;
