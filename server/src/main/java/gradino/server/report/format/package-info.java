/** A report as PDF, CSV, JSON, FHIR and as one archive. Uses told and read. */
@NullMarked
package gradino.server.report.format;

import org.jspecify.annotations.NullMarked;
