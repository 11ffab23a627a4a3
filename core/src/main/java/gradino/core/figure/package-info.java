/** A body in space: joint angles and contacts become a drawing, the same for screen and paper. */
@NullMarked
package gradino.core.figure;

import org.jspecify.annotations.NullMarked;
