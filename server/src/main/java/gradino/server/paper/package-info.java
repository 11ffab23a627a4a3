/** Tagged pages of PDF. Read {@link gradino.server.paper.Paper} first. Uses nothing else. */
@NullMarked
package gradino.server.paper;

import org.jspecify.annotations.NullMarked;
