import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, newId } from '../api/client';
import { day, words } from '../units';
import { Button } from './Button';
import { Failure } from './Findings';
import { Scale } from './Scale';

type Props = { sessionId: string; title: string; of: string; endedAt: string };

/** The two questions of the next morning. */
export function MorningCard({ sessionId, title, of, endedAt }: Props) {
  const queries = useQueryClient();
  const [id] = useState(newId);
  const [settled, setSettled] = useState<boolean | null>(null);
  const [soreness, setSoreness] = useState<number | null>(null);
  const answer = useMutation({
    mutationFn: (yes: boolean) =>
      ask(
        api.POST('/api/sessions/{sessionId}/morning', {
          params: { path: { sessionId } },
          body: { id, settled: yes, soreness: soreness ?? undefined },
        }),
      ),
    onSuccess: () => queries.invalidateQueries(),
  });
  return (
    <section className="mb-3 border border-rule bg-card p-4">
      <h3 className="font-bold">{title}</h3>
      <p className="mb-2 text-sm text-soft">
        {words(of)}, session of {day(endedAt)}
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
      <Scale label="Muscle soreness" look="my-2" value={soreness} onChange={setSoreness} />
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
