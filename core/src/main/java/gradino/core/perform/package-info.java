/**
 * What was really done. Read {@link gradino.core.perform.SessionRecord} first. May use every package up to effort.
 */
@NullMarked
package gradino.core.perform;

import org.jspecify.annotations.NullMarked;
