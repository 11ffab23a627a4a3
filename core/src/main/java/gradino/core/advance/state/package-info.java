/**
 * What is known of a line, folded from what happened. Read {@link gradino.core.advance.state.LineState} first. Uses no other room of advancing.
 */
@NullMarked
package gradino.core.advance.state;

import org.jspecify.annotations.NullMarked;
