/**
 * Every file, column by column. Read {@link gradino.server.exchange.table.CsvTable} first. Uses no other room of exchanging.
 */
@NullMarked
package gradino.server.exchange.table;

import org.jspecify.annotations.NullMarked;
