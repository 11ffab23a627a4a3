/**
 * How long strength lasts and how heavy a limb is: the fatigue forecast along a timeline, and torque by gravity. First read
 * {@link gradino.core.effort.Forecast}. Uses prescribe and the rooms before it.
 */
@NullMarked
package gradino.core.effort;

import org.jspecify.annotations.NullMarked;
