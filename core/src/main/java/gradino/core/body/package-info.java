/**
 * The moving body: sides, motions, positions and usual ranges, from data files. Read {@link gradino.core.body.Catalogue} first. May use quantity and because.
 */
@NullMarked
package gradino.core.body;

import org.jspecify.annotations.NullMarked;
