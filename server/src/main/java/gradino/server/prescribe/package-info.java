/**
 * What a client is prescribed, in four rooms: {@code program} (lines and sessions as they are kept), {@code library} (positions and methods to choose from), {@code compose} (a session as it is made), {@code handout} (a session on paper). A room uses those before it. May use platform, account, device, intake and measure.
 */
@NullMarked
package gradino.server.prescribe;

import org.jspecify.annotations.NullMarked;
