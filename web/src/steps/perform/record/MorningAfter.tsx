import { useState } from 'react';
import type { Schemas } from '../../../shared/api/client';
import { daysAgo } from '../../../shared/units';
import { Button } from '../../../shared/ui/Button';
import { TextField } from '../../../shared/ui/TextField';
import { MorningCard } from '../../../shared/ui/MorningCard';

type Props = { floor: Schemas['Floor']; closed: Schemas['Closed']; mornings: Schemas['Morning'][] };

/** What was answered the morning after, open to a correction; what was said before is kept. */
export function MorningAfter({ floor, closed, mornings }: Props) {
  const [open, setOpen] = useState(false);
  const [why, setWhy] = useState('');
  const morning = mornings.at(-1);
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
          correction={morning && why}
          kept={() => setOpen(false)}
        >
          {morning && <TextField label="Why was the first answer wrong?" value={why} onChange={setWhy} />}
        </MorningCard>
      ) : (
        <p className="flex flex-wrap items-center gap-3">
          {morning ? mornings.map(said).join(' ') : 'It is asked tomorrow.'}
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
  const after = m.question === 'AFTER_48_HOURS' ? 'After two days: p' : 'P';
  const why = m.correction ? `Corrected (${m.correction}): p` : after;
  const pain = `${why}${m.settled ? 'ain was back to usual' : 'ain was not back to usual'}`;
  return m.soreness === undefined ? `${pain}.` : `${pain}, soreness ${m.soreness}/10.`;
}
