import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, newId, type Schemas } from '../../shared/api/client';
import { day, words } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';

/** The two questions of the next morning. */
export function Mornings({ mornings }: { mornings: Schemas['MorningAsked'][] }) {
  return (
    <aside aria-label="Next morning">
      <h2 className="mb-2 text-lg text-soft">The morning after</h2>
      {mornings.length === 0 && (
        <p className="text-soft">
          Every session of the week has its next-morning answer. New ones appear the day after.
        </p>
      )}
      {mornings.map((asked) => (
        <MorningCard key={asked.sessionId} asked={asked} />
      ))}
    </aside>
  );
}

function MorningCard({ asked }: { asked: Schemas['MorningAsked'] }) {
  const queries = useQueryClient();
  const [id] = useState(newId);
  const [settled, setSettled] = useState<boolean | null>(null);
  const [soreness, setSoreness] = useState<number | null>(null);
  const answer = useMutation({
    mutationFn: (yes: boolean) =>
      ask(
        api.POST('/api/sessions/{sessionId}/morning', {
          params: { path: { sessionId: asked.sessionId } },
          body: { id, settled: yes, soreness: soreness ?? undefined },
        }),
      ),
    onSuccess: () => queries.invalidateQueries(),
  });
  return (
    <section className="mb-3 border border-rule bg-card p-4">
      <h3 className="font-bold">{asked.clientName}</h3>
      <p className="mb-2 text-sm text-soft">
        {words(asked.motion)}, session of {day(asked.endedAt)}
      </p>
      <p>Was pain back to usual the next morning?</p>
      <div className="my-2 flex gap-2">
        {[true, false].map((yes) => (
          <Button key={String(yes)} look={settled === yes ? 'main' : 'plain'} onClick={() => setSettled(yes)}>
            {yes ? 'Yes' : 'No'}
          </Button>
        ))}
      </div>
      <p>Muscle soreness, 0 to 10</p>
      <div className="my-2 grid grid-cols-[repeat(11,minmax(0,1fr))]" role="radiogroup" aria-label="Muscle soreness">
        {Array.from({ length: 11 }, (_, n) => (
          <button
            key={n}
            role="radio"
            aria-checked={soreness === n}
            className={`min-h-9 border border-rule ${soreness === n ? 'bg-ink text-paper' : 'hover:bg-tread'}`}
            onClick={() => setSoreness(n)}
          >
            {n}
          </button>
        ))}
      </div>
      <Failure error={answer.error} />
      <Button
        look="main"
        className="w-full"
        disabled={settled === null || answer.isPending}
        onClick={() => settled !== null && answer.mutate(settled)}
      >
        Keep the answer
      </Button>
    </section>
  );
}
