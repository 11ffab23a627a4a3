/** Charts as marks on a sheet, inked by page and PDF alike. Read {@link gradino.server.report.draw.Drawing} first. */
@NullMarked
package gradino.server.report.draw;

import org.jspecify.annotations.NullMarked;
