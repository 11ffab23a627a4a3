/**
 * The next dose with its reasons. Read {@link gradino.core.advance.Advance} first. Its rooms: {@code state} (what is known), {@code gate} (what forbids or lowers), {@code lever} (what a step leads to), and {@code look}, which looks back and tries out. This one uses the first three and is used by the last. May use every package up to perform.
 */
@NullMarked
package gradino.core.advance;

import org.jspecify.annotations.NullMarked;
