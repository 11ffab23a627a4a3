import { useState } from 'react';
import type { Schemas } from '../../shared/api/client';
import { degrees } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { FieldFinding } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';
import { useCatalogue } from '../../shared/ui/useCatalogue';
import type { PartProps } from './file';

/** The degrees that the goal needs, motion by motion. */
export function GoalDegrees({ details, set, findings }: PartProps) {
  const catalogue = useCatalogue();
  const [motion, setMotion] = useState('');
  const motions = catalogue.data?.motions ?? [];
  const movements = catalogue.data?.movements ?? [];
  const free = motions.filter((m) => !details.goals.some((g) => g.motion === m.id));
  const pickMovement = (id: string) => {
    const movement = movements.find((m) => m.id === id);
    if (!movement) return;
    const others = details.goals.filter((g) => !movement.needs.some((n) => n.motion === g.motion));
    const needed = movement.needs.map(({ motion, degrees }) => {
      const before = details.goals.find((g) => g.motion === motion);
      return { motion, replacesTable: false, ...before, degrees: Math.max(degrees, before?.degrees ?? 0) };
    });
    set({ goals: [...others, ...needed], goal: details.goal || movement.name });
  };
  const change = (id: string, part: Partial<(typeof details.goals)[number]>) =>
    set({ goals: details.goals.map((g) => (g.motion === id ? { ...g, ...part } : g)) });
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">Degrees that the goal needs</legend>
      <label className="mb-3 block text-sm text-soft">
        What do they want to do? The degrees that it takes are filled in, for you to change.
        <select
          className="mt-1 block min-h-11 w-full max-w-md border border-rule bg-card px-2 text-ink"
          value=""
          onChange={(e) => pickMovement(e.target.value)}
        >
          <option value="">pick a movement…</option>
          {movements.map((m) => (
            <option key={m.id} value={m.id}>
              {m.name}
            </option>
          ))}
        </select>
      </label>
      {details.goals.length === 0 && (
        <p className="mb-2 text-sm text-soft">None yet: pick a movement, or add the motions that matter.</p>
      )}
      <ul className="space-y-2">
        {details.goals.map((g, i) => (
          <li key={g.motion} className="flex flex-wrap items-end gap-4">
            <div className="w-64">
              <NumberField
                label={motions.find((m) => m.id === g.motion)?.name ?? g.motion}
                unit="°"
                value={g.degrees}
                onChange={(v) => change(g.motion, { degrees: v ?? 0 })}
                path={`goals[${i}].degrees`}
                findings={findings}
              />
              <FieldFinding findings={findings} path={`goals[${i}].motion`} />
              <TakenFrom movements={movements} goal={g} />
            </div>
            <label className="flex min-h-11 items-center gap-2 text-sm">
              <input
                type="checkbox"
                className="size-5 accent-(--ink)"
                checked={g.replacesTable}
                onChange={(e) => change(g.motion, { replacesTable: e.target.checked })}
              />
              hold the range against {degrees(g.degrees)} alone, not the table
            </label>
            <Button onClick={() => set({ goals: details.goals.filter((x) => x !== g) })}>Remove</Button>
          </li>
        ))}
      </ul>
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <label className="text-sm text-soft">
          Motion
          <select
            className="mt-1 block min-h-11 border border-rule bg-card px-2 text-ink"
            value={motion}
            onChange={(e) => setMotion(e.target.value)}
          >
            <option value="">pick one…</option>
            {free.map((m) => (
              <option key={m.id} value={m.id}>
                {m.name}
              </option>
            ))}
          </select>
        </label>
        <Button
          disabled={motion === ''}
          onClick={() => {
            set({ goals: [...details.goals, { motion, degrees: 45, replacesTable: false }] });
            setMotion('');
          }}
        >
          Add
        </Button>
      </div>
    </fieldset>
  );
}

type Movements = Schemas['GoalMovement'][];

/** Where the degrees come from, as long as they are those of a movement. */
function TakenFrom({ movements, goal }: { movements: Movements; goal: Schemas['MotionGoal'] }) {
  const from = movements.flatMap((m) =>
    m.needs.filter((n) => n.motion === goal.motion && n.degrees === goal.degrees).map((n) => ({ m, n })),
  )[0];
  return from ? (
    <p className="text-xs text-soft">
      {from.m.name}: {from.n.source.text}
    </p>
  ) : null;
}
