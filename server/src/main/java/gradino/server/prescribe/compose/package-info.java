/**
 * Sessions as they are suggested, changed, looked at and made ready. Read {@link gradino.server.prescribe.compose.ComposeService} first. Uses program and library.
 */
@NullMarked
package gradino.server.prescribe.compose;

import org.jspecify.annotations.NullMarked;
