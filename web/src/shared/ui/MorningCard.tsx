import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
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
  question?: Schemas['MorningAsked']['question'];
  /** What was answered before, when it is corrected. */
  before?: Schemas['Morning'] | undefined;
  /** Why that was wrong; asked for by the children. */
  correction?: string | undefined;
  children?: ReactNode;
  kept?: () => void;
};

/** What is asked after a session: the next morning, and after two days where pain had not settled. */
export function MorningCard({
  runId,
  title,
  of,
  endedAt,
  question = 'NEXT_MORNING',
  before,
  correction,
  children,
  kept,
}: Props) {
  const queries = useQueryClient();
  const [id] = useState(newId);
  const [settled, setSettled] = useState<boolean | null>(before?.settled ?? null);
  const [soreness, setSoreness] = useState<number | null>(before?.soreness ?? null);
  const asked = before?.question ?? question;
  const answer = useMutation({
    mutationFn: (yes: boolean) =>
      ask(
        api.POST('/api/runs/{runId}/morning', {
          params: { path: { runId } },
          body: {
            id,
            question: asked,
            settled: yes,
            soreness: soreness ?? undefined,
            correction,
          },
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
      <p>Was pain back to usual {asked === 'NEXT_MORNING' ? 'the next morning' : 'after two days'}?</p>
      <div className="my-2 flex gap-2">
        {[true, false].map((yes) => (
          <Button key={String(yes)} look={settled === yes ? 'main' : 'plain'} onClick={() => setSettled(yes)}>
            {yes ? 'Yes' : 'No'}
          </Button>
        ))}
      </div>
      {asked === 'NEXT_MORNING' && (
        <>
          <p>Muscle soreness, 0 to 10</p>
          <Scale label="Muscle soreness" look="my-2" value={soreness} onChange={setSoreness} />
        </>
      )}
      {children}
      <Failure error={answer.error} />
      <Button
        look="main"
        className="w-full"
        disabled={settled === null || answer.isPending || correction?.trim() === ''}
        onClick={() => settled !== null && answer.mutate(settled)}
      >
        {before ? 'Save the correction' : 'Save the answer'}
      </Button>
    </section>
  );
}
