/**
 * Blocks compiled to seconds. Read {@link gradino.core.prescribe.timeline.Compiler} first. Uses block and method.
 */
@NullMarked
package gradino.core.prescribe.timeline;

import org.jspecify.annotations.NullMarked;
