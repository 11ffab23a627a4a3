/**
 * Looking back at what was decided, and trying rules out on invented clients. Read {@link gradino.core.advance.look.Backtest} first. Uses every other room of advancing.
 */
@NullMarked
package gradino.core.advance.look;

import org.jspecify.annotations.NullMarked;
