/**
 * Devices that stream what they measure to a page. Read {@link gradino.server.device.Devices} first. May use platform and
 * account.
 */
@NullMarked
package gradino.server.device;

import org.jspecify.annotations.NullMarked;
