/**
 * What a step up or down leads to. Read {@link gradino.core.advance.lever.Lever} first. Uses state and gate.
 */
@NullMarked
package gradino.core.advance.lever;

import org.jspecify.annotations.NullMarked;
