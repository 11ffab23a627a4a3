/**
 * Proposals and decisions. Read {@link gradino.server.advance.DecisionService} first. May use every step up to perform.
 */
@NullMarked
package gradino.server.advance;

import org.jspecify.annotations.NullMarked;
