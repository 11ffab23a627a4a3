import type { Schemas } from '../../../shared/api/client';
import { words } from '../../../shared/units';

type LegendProps = {
  zoom: number;
  setZoom: (v: number) => void;
  forecast: Schemas['ForecastView'] | undefined;
};

/** How the score is read at the moment: where it is lowest, how wide a second is. */
export function Reading({ zoom, setZoom, forecast }: LegendProps) {
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-6 text-sm text-soft">
      {forecast && forecast.pools.length > 0 ? <Lowest pools={forecast.pools} /> : <span />}
      <label className="flex items-center gap-2">
        Zoom
        <input
          type="range"
          min={1}
          max={8}
          step={0.25}
          value={zoom}
          onChange={(e) => setZoom(Number(e.target.value))}
        />
      </label>
    </div>
  );
}

/** What the marks of the score mean. */
export function Legend({ forecast }: { forecast: Schemas['ForecastView'] }) {
  // Joints without a published set of their own, each with what it is reckoned with.
  const borrowed = new Map(forecast.pools.filter((p) => p.borrowed.length > 0).map((p) => [p.joint, p.borrowed]));
  return (
    <p className="mt-5 max-w-prose text-sm text-soft">
      <span className="font-bold text-press">Press goes down</span>,{' '}
      <span className="font-bold text-pull">pull rises</span>; bands hold, rings move, ticks are breaths. Above:
      strength left by the fatigue model, a planning aid
      {[...borrowed].map(([joint, sets]) => `; the ${joint} has no published set: ${reckoned(sets)}`).join('')}.
    </p>
  );
}

function reckoned(sets: string[]): string {
  return sets.length === 1 ? `the ${sets[0]}'s is taken` : `the more cautious of ${sets.join(' and ')} is taken`;
}

/** Pixels a second at which the whole session fits into the window; never so few that steps cannot be told apart. */
export function fitting(seconds: number | undefined): number {
  return Math.min(3, Math.max(0.5, (Math.min(1500, innerWidth) - 130) / (seconds || 600)));
}

/** Where each group of muscles comes to at its lowest. */
function Lowest({ pools }: { pools: Schemas['PoolView'][] }) {
  return (
    <details>
      <summary className="cursor-pointer">lowest: {Math.min(...pools.map((p) => p.lowest))} % left</summary>
      <ul>
        {pools.map((p) => (
          <li key={p.motion + p.side}>
            {words(p.side)}, muscles of {p.name}: {p.lowest} %
          </li>
        ))}
      </ul>
    </details>
  );
}
