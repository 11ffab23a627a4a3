/**
 * What is done at an angle. Read {@link gradino.core.prescribe.block.Block} first. Uses no other room of prescribing.
 */
@NullMarked
package gradino.core.prescribe.block;

import org.jspecify.annotations.NullMarked;
