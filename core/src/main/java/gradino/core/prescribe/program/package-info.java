/**
 * Lines and sessions of a client's program, and what they are held against. Read {@link gradino.core.prescribe.program.Plan} first. Uses every other room of prescribing.
 */
@NullMarked
package gradino.core.prescribe.program;

import org.jspecify.annotations.NullMarked;
