import { Link } from 'react-router';
import type { Schemas } from '../../shared/api/client';
import { day, degrees, words } from '../../shared/units';

type Goal = Schemas['GoalNow'];

const REACHED: Record<Schemas['ReachedNow']['reached'], (shortOf: number) => string> = {
  YES: () => 'reached',
  NO: (shortOf) => `${degrees(shortOf)} to go`,
  NOT_TOLD_APART: () => 'reached, as far as measuring can tell',
};

/** The goal, and how far each motion still is. */
export function Goals({ goal, goals, clientId }: { goal: string; goals: Goal[]; clientId: string }) {
  return (
    <section>
      <h2 className="text-xl font-bold">{goal || 'No goal written down yet'}</h2>
      {goals.length === 0 && (
        <p className="text-soft">
          Which degrees does it need?{' '}
          <Link className="underline" to={`/clients/${clientId}/file`}>
            Add them to the file
          </Link>
          , and how far it is shows here.
        </p>
      )}
      <ul className="mt-2 space-y-2">
        {goals.map((g) => (
          <li
            key={g.motion + (g.side ?? '')}
            className="grid items-center gap-x-4 sm:grid-cols-[13rem_minmax(0,1fr)_11rem]"
          >
            <span className="text-sm">
              {g.name}
              {g.side && g.side !== 'MIDLINE' ? `, ${words(g.side)}` : ''}
            </span>
            {g.now ? <Flag goal={g} now={g.now} /> : <span className="text-soft">not measured yet</span>}
            {g.now && (
              <span className="text-sm">
                <strong>{degrees(g.now.degrees)}</strong> of {degrees(g.needed)}:{' '}
                {REACHED[g.now.reached](g.now.shortOf)}
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

const WIDTH = 400;

/** A bar to the estimate, its band as a whisker, the goal as a flag. */
function Flag({ goal, now }: { goal: Goal; now: Schemas['ReachedNow'] }) {
  const most = Math.max(goal.needed, now.upper) * 1.08;
  const x = (d: number) => (Math.max(0, d) / most) * WIDTH;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 24`}
      className="h-6 w-full"
      preserveAspectRatio="none"
      role="img"
      aria-label={`${goal.name}: ${degrees(now.degrees)}, 95 % band ${degrees(now.lower)} to ${degrees(now.upper)}, goal ${degrees(goal.needed)}, measured ${day(now.measuredAt)}`}
    >
      <rect x={0} y={4} width={WIDTH} height={10} fill="var(--tread)" />
      <rect
        x={0}
        y={4}
        width={x(now.degrees)}
        height={10}
        fill={now.mode === 'PASSIVE' ? 'none' : 'var(--ink)'}
        stroke="var(--ink)"
      />
      <path
        d={`M${x(now.lower)} 19H${x(now.upper)}M${x(now.lower)} 16v6M${x(now.upper)} 16v6`}
        stroke="var(--ink)"
        strokeWidth={1.6}
      />
      <path d={`M${x(goal.needed)} 23V1l14 5-14 5`} fill="var(--ink)" stroke="var(--ink)" strokeWidth={1.6} />
    </svg>
  );
}
