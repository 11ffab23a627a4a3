/** Gathers what a report is made of. Read {@link gradino.server.report.read.ReportReader} first. */
@NullMarked
package gradino.server.report.read;

import org.jspecify.annotations.NullMarked;
