/**
 * Methods as data, and blocks as they are typed, read by their method. Read {@link gradino.core.prescribe.method.Method} first. Uses block.
 */
@NullMarked
package gradino.core.prescribe.method;

import org.jspecify.annotations.NullMarked;
