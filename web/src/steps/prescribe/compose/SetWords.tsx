import type { Schemas } from '../../../shared/api/client';
import { degrees, words } from '../../../shared/units';

/** How a side is set up, and what gravity does there. */
export function SetWords({ set }: { set: Schemas['LineSet'] }) {
  const heavy = set.torques[0];
  return (
    <div className="text-sm">
      <p>
        {set.side !== 'MIDLINE' && <span className="font-semibold">{words(set.side)} </span>}
        <span className="text-lg font-bold">{degrees(set.reachedDegrees)}</span>
        {set.stackCm !== undefined && <span> · stack {set.stackCm} cm</span>}
        {set.stackCm === undefined && set.readingCm !== undefined && <span> · tape {set.readingCm} cm</span>}
      </p>
      {set.torques.map((t) => (
        <p key={t.limb} className="text-soft">
          {t.limb}: {t.newtonMetres.toFixed(1)} N·m
          {t.loadKg > 0 && `, ${Math.round(t.loadShare * 100)} % of it the ${t.loadKg} kg`}
        </p>
      ))}
      {heavy && heavy.loadKg > 0 && (
        <p className="text-soft">
          5 % more: {heavy.loadForMore.toFixed(1)} kg;{' '}
          {heavy.plate === undefined ? 'more than two plates' : `nearest ${heavy.plate} kg`}
        </p>
      )}
    </div>
  );
}
