/**
 * CSV in and out, and erasing. Read {@link gradino.server.exchange.ImportService} first. Uses {@code table}, what a file's rows say. May use every step before it.
 */
@NullMarked
package gradino.server.exchange;

import org.jspecify.annotations.NullMarked;
