import { memo, useState } from 'react';
import type { Schemas } from '../../../shared/api/client';

/** What it works on, what to watch for, what ends it. */
export const PositionHelp = memo(function PositionHelp({ training }: { training: Schemas['Training'] }) {
  const [open, setOpen] = useState(false);
  return (
    <details open={open} onToggle={(e) => setOpen(e.currentTarget.open)} className="text-sm">
      <summary className="cursor-pointer font-semibold">Props, faults and stop signs</summary>
      <dl className="mt-2 grid gap-x-4 gap-y-1 sm:grid-cols-[8rem_1fr]">
        <dt className="text-soft">Lengthened</dt>
        <dd>{training.tissue}</dd>
        {training.press && (
          <>
            <dt className="font-semibold text-press">Press</dt>
            <dd>{training.press}</dd>
          </>
        )}
        {training.pull && (
          <>
            <dt className="font-semibold text-pull">Pull</dt>
            <dd>{training.pull}</dd>
          </>
        )}
        <dt className="text-soft">Props</dt>
        <dd>{training.props.map((p) => `${p.what}: ${p.then}`).join('; ') || 'none needed'}</dd>
        <dt className="text-soft">Faults</dt>
        <dd>
          {training.fixes.map((f) => (
            <span key={f.what} className="block">
              {f.what} → {f.then}
            </span>
          ))}
        </dd>
        <dt className="font-semibold text-warn">Stop for</dt>
        <dd>{training.stops.join('; ')}; sharp pain, numbness or tingling</dd>
      </dl>
    </details>
  );
});
