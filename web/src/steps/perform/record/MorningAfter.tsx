import { useState } from 'react';
import type { Schemas } from '../../../shared/api/client';
import { daysAgo } from '../../../shared/units';
import { Button } from '../../../shared/ui/Button';
import { MorningCard } from '../../../shared/ui/MorningCard';

type Props = { floor: Schemas['Floor']; closed: Schemas['Closed']; morning: Schemas['Morning'] | undefined };

/** What was answered the morning after, open to a correction; what was said before is kept. */
export function MorningAfter({ floor, closed, morning }: Props) {
  const [open, setOpen] = useState(false);
  const asked = open || (morning === undefined && daysAgo(closed.happenedAt) !== 'today');
  return (
    <section className="mt-8 max-w-xl">
      <h2 className="mb-2 text-xl font-bold">The morning after</h2>
      {asked ? (
        <MorningCard
          runId={floor.id}
          title={morning ? 'What was it really?' : 'Not answered yet'}
          of={floor.lines.map((l) => l.position).join(', ')}
          endedAt={closed.happenedAt}
          before={morning}
          kept={() => setOpen(false)}
        />
      ) : (
        <p className="flex flex-wrap items-center gap-3">
          {morning ? said(morning) : 'It is asked tomorrow.'}
          {morning && (
            <Button className="text-sm" onClick={() => setOpen(true)}>
              Correct the answer
            </Button>
          )}
        </p>
      )}
    </section>
  );
}

function said(m: Schemas['Morning']): string {
  const pain = m.settled ? 'Pain was back to usual' : 'Pain was not back to usual';
  return m.soreness === undefined ? `${pain}.` : `${pain}, soreness ${m.soreness}/10.`;
}
