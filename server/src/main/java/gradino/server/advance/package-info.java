/**
 * Proposals, decisions, pauses and looking back. Read {@link gradino.server.advance.DecisionService} first. Uses {@code line}, the one door to a line's state. May use every step up to perform.
 */
@NullMarked
package gradino.server.advance;

import org.jspecify.annotations.NullMarked;
