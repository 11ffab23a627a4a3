/**
 * What a client sees at home. Read {@link gradino.server.home.HomeService} first. May use every step before it.
 */
@NullMarked
package gradino.server.home;

import org.jspecify.annotations.NullMarked;
