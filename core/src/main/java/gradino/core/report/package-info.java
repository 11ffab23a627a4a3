/**
 * What weeks of work came to: six answers as values with intervals, no words and no drawing. Read {@link gradino.core.report.Report}
 * first; {@code report.studio} is the same over many clients. Uses every package before it; nothing uses it.
 */
@NullMarked
package gradino.core.report;

import org.jspecify.annotations.NullMarked;
