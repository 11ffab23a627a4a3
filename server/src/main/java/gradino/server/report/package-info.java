/**
 * What weeks of work came to, for client, coach and other professionals. Read {@link gradino.server.report.ReportService} first: {@code
 * read} gathers, core computes, {@code draw} and {@code told} make it drawings and words, {@code format} writes files. May use every step
 * before it.
 */
@NullMarked
package gradino.server.report;

import org.jspecify.annotations.NullMarked;
