/**
 * The next dose with its reasons. Read {@link gradino.core.advance.Advance} first. May use every package up to perform.
 */
@NullMarked
package gradino.core.advance;

import org.jspecify.annotations.NullMarked;
