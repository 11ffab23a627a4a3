/**
 * Why something was decided: gates, verdicts, typed reasons, sources, findings. Read {@link gradino.core.because.Because} first. May use quantity.
 */
@NullMarked
package gradino.core.because;

import org.jspecify.annotations.NullMarked;
