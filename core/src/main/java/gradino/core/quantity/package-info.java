/**
 * Numbers with a meaning: degrees, centimetres, effort, pain. Read {@link gradino.core.quantity.Degrees} first. Uses nothing else of Gradino.
 */
@NullMarked
package gradino.core.quantity;

import org.jspecify.annotations.NullMarked;
