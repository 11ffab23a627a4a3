/**
 * What forbids a step or asks for one down. Read {@link gradino.core.advance.gate.Situation} first. Uses state.
 */
@NullMarked
package gradino.core.advance.gate;

import org.jspecify.annotations.NullMarked;
