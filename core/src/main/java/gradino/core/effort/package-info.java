/**
 * How long strength lasts, how heavy a limb is, and how well an effort was met: the fatigue forecast along a timeline, torque by
 * gravity, a gauge's trace against the staircase. First read {@link gradino.core.effort.Forecast}. Uses prescribe and the rooms
 * before it.
 */
@NullMarked
package gradino.core.effort;

import org.jspecify.annotations.NullMarked;
