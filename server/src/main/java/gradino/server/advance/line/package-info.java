/**
 * The one door to a line's state: gathered, folded, kept. Read {@link gradino.server.advance.line.LineDoor} first. Uses no other room of advancing.
 */
@NullMarked
package gradino.server.advance.line;

import org.jspecify.annotations.NullMarked;
