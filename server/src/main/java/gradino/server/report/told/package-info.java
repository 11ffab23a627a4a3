/** A report in words, for one audience. Read {@link gradino.server.report.told.Teller} first. Uses draw. */
@NullMarked
package gradino.server.report.told;

import org.jspecify.annotations.NullMarked;
