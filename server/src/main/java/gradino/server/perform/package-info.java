/**
 * Sessions as they are run, in three rooms: {@code record} (what was done), {@code force} (what a gauge gave), {@code floor} (running it). A room uses those before it. May use every step up to prescribe.
 */
@NullMarked
package gradino.server.perform;

import org.jspecify.annotations.NullMarked;
