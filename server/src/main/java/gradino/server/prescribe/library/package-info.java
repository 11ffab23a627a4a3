/**
 * Positions, methods and blocks to choose from. Read {@link gradino.server.prescribe.library.LibraryService} first. Uses program.
 */
@NullMarked
package gradino.server.prescribe.library;

import org.jspecify.annotations.NullMarked;
