import type { Schemas } from '../../shared/api/client';
import { FigureView } from '../../shared/draw/FigureView';
import { useFigures } from '../../shared/draw/useFigures';
import { words } from '../../shared/units';
import { useCatalogue, usePositionName } from '../../shared/ui/useCatalogue';

type Need = Schemas['Stage']['needs'][number];

const NEEDS: Record<Need, string> = {
  LADDER: 'the ladder here is done',
  GRADE: 'control is graded well enough',
  SEEN: 'a coach has watched',
};

/** Where the line comes from and where it goes on: the same motion in easier and harder positions. */
export function StageRow({ motion, position }: { motion: string; position: string }) {
  const catalogue = useCatalogue();
  const stages = catalogue.data?.stages.filter((s) => s.motions.includes(motion)) ?? [];
  const before = stages.filter((s) => s.to === position);
  const after = stages.find((s) => s.from === position);
  if (before.length === 0 && !after) return null;
  return (
    <section className="mt-10" aria-label="Stages">
      <h2 className="mb-2 text-xl font-bold">Stages of {words(motion)}</h2>
      <ol className="flex flex-wrap gap-4">
        {before.map((s) => (
          <Stage key={s.from} position={s.from} label="before" />
        ))}
        <Stage position={position} label="now" />
        {after && <Stage position={after.to} label="after" />}
      </ol>
      <p className="mt-2 max-w-prose text-soft">
        {after
          ? `It goes on when ${after.needs.map((n) => NEEDS[n]).join(', ')}${after.bothSides ? ', on both sides' : ''}.`
          : 'There is no harder stage of it.'}
      </p>
    </section>
  );
}

function Stage({ position, label }: { position: string; label: 'before' | 'now' | 'after' }) {
  const figure = useFigures().data?.[position];
  const name = usePositionName(position);
  return (
    <li className={`w-40 border-b-4 bg-card p-2 ${label === 'now' ? 'border-ink' : 'border-rule'}`}>
      <span className="text-xs text-soft">{label}</span>
      {figure && <FigureView figure={figure} label={name} className="h-24" />}
      <span className="block text-sm font-semibold">{name}</span>
    </li>
  );
}
