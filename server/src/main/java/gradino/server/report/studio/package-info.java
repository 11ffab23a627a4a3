/** What work came to over many clients. Uses told, draw and read. */
@NullMarked
package gradino.server.report.studio;

import org.jspecify.annotations.NullMarked;
