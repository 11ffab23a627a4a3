/**
 * Database, JSON, problems, static pages. Read {@link gradino.server.platform.Sql} first. Uses core only.
 */
@NullMarked
package gradino.server.platform;

import org.jspecify.annotations.NullMarked;
