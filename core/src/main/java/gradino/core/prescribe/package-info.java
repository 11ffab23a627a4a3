/**
 * What is prescribed, in four rooms: {@code block} (what is done), {@code method} (how a school does it), {@code timeline} (every second of it), {@code program} (lines and sessions, and what they are held against). A room uses those before it. May use quantity, because, body, intake and measure.
 */
@NullMarked
package gradino.core.prescribe;

import org.jspecify.annotations.NullMarked;
