/**
 * From trials and tape to a range with its uncertainty, in three rooms: {@code noise} (how well it repeats), {@code reading} (what was read and what it comes to), {@code limit} (what limits the motion). A room uses those before it. May use quantity, because, body and intake.
 */
@NullMarked
package gradino.core.measure;

import org.jspecify.annotations.NullMarked;
