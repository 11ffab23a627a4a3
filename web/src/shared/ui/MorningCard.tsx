import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, newId, type Schemas } from '../api/client';
import { day } from '../units';
import { Button } from './Button';
import { Failure } from './Findings';
import { Scale } from './Scale';

type Props = {
  runId: string;
  title: string;
  of: string;
  endedAt: string;
  /** What was answered before, when it is corrected. */
  before?: Schemas['Morning'] | undefined;
  kept?: () => void;
};

/** The two questions of the next morning. */
export function MorningCard({ runId, title, of, endedAt, before, kept }: Props) {
  const queries = useQueryClient();
  const [id] = useState(newId);
  const [settled, setSettled] = useState<boolean | null>(before?.settled ?? null);
  const [soreness, setSoreness] = useState<number | null>(before?.soreness ?? null);
  const answer = useMutation({
    mutationFn: (yes: boolean) =>
      ask(
        api.POST('/api/runs/{runId}/morning', {
          params: { path: { runId } },
          body: { id, settled: yes, soreness: soreness ?? undefined },
        }),
      ),
    onSuccess: () => {
      kept?.();
      return queries.invalidateQueries();
    },
  });
  return (
    <section className="mb-3 border border-rule bg-card p-4">
      <h3 className="font-bold">{title}</h3>
      <p className="mb-2 text-sm text-soft">
        {of}, session of {day(endedAt)}
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
        {before ? 'Keep the correction' : 'Keep the answer'}
      </Button>
    </section>
  );
}
