/**
 * A client's lines and sessions. Read {@link gradino.server.prescribe.program.Program} first. Uses no other room of prescribing.
 */
@NullMarked
package gradino.server.prescribe.program;

import org.jspecify.annotations.NullMarked;
