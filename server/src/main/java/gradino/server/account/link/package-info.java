/**
 * Links with which clients run their own sessions. Read {@link gradino.server.account.link.HomeLinkService} first. Uses people.
 */
@NullMarked
package gradino.server.account.link;

import org.jspecify.annotations.NullMarked;
