/**
 * CSV in and out. Read {@link gradino.server.exchange.ImportService} first. May use every step before it.
 */
@NullMarked
package gradino.server.exchange;

import org.jspecify.annotations.NullMarked;
