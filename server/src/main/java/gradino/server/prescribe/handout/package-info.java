/**
 * A session on paper and in the client's words. Read {@link gradino.server.prescribe.handout.HandoutService} first. Uses every other room of prescribing.
 */
@NullMarked
package gradino.server.prescribe.handout;

import org.jspecify.annotations.NullMarked;
