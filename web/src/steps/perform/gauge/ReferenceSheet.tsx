import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, ask, newId, type Schemas } from '../../../shared/api/client';
import { Button } from '../../../shared/ui/Button';
import { Failure } from '../../../shared/ui/Findings';
import { Sheet } from '../../../shared/ui/Sheet';
import { referenceWords } from './referenceWords';
import type { Gauges } from './gauges';

type Samples = Schemas['Samples'];
type Props = {
  gauges: Gauges;
  floor: Schemas['Floor'];
  reference: Schemas['FloorReference'];
  close: () => void;
};

const TRY_MS = 4_000;
const REST_MS = 30_000;
const TRIES = 3;
const TICK_MS = 100;

/** Three all-out tries with rest between them; what they come to is the server's. */
export function ReferenceSheet({ gauges, floor, reference, close }: Props) {
  const [tries, setTries] = useState<Samples[]>([]);
  const [begun, begin] = useState<number | null>(null);
  const [restUntil, rest] = useState(0);
  const now = useClock();
  const queries = useQueryClient();
  const keep = useMutation({
    mutationFn: (all: Samples[]) =>
      ask(
        api.POST('/api/runs/{runId}/references', {
          params: { path: { runId: floor.id } },
          body: { id: newId(), line: reference.line, side: reference.side, direction: reference.direction, tries: all },
        }),
      ),
    onSuccess: (known) =>
      queries.setQueryData<Schemas['Floor']>(
        ['floor', floor.id],
        (f) => f && { ...f, references: f.references.map((r) => (same(r, known) ? known : r)) },
      ),
  });
  const { side } = reference;
  const go = () => {
    const contraction = TRY_MS / 1000;
    gauges.ask(side, { fromPercent: 100, toPercent: 100, seconds: contraction, leftAfter: 0, contraction });
    begin(performance.now());
  };
  useEffect(() => {
    if (begun === null) return;
    const timer = setTimeout(() => {
      const samples = gauges.between(side, begun, begun + TRY_MS);
      const all = [...tries, { millis: samples.map((s) => Math.round(s.at)), tenths: samples.map((s) => s.tenths) }];
      begin(null);
      setTries(all);
      rest(begun + TRY_MS + REST_MS);
      if (all.length === TRIES) keep.mutate(all);
    }, TRY_MS + 200);
    return () => clearTimeout(timer);
    // The try that has begun is run to its end, whatever is drawn meanwhile.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [begun]);
  const restLeft = Math.ceil((restUntil - now) / 1000);
  const press = reference.direction === 'PRESS';
  return (
    <Sheet open onOpenChange={(open) => !open && close()} title={`100 %: ${referenceWords(reference, floor)}`}>
      <div className="space-y-4">
        <p>
          {press ? 'Press' : 'Pull'} as hard as you can for four seconds, three times. Build up over the first second.
          Stop at pain.
        </p>
        <p className="text-center text-8xl font-bold" aria-live="off">
          {begun !== null ? Math.max(0, Math.ceil((begun + TRY_MS - now) / 1000)) : restLeft > 0 ? restLeft : '·'}
        </p>
        <p
          className={
            begun !== null
              ? `text-center text-3xl font-bold ${press ? 'text-press' : 'text-pull'}`
              : 'text-center text-xl'
          }
        >
          {words(tries.length, begun !== null, restLeft, keep.isSuccess)}
        </p>
        {begun !== null && (
          <p className="text-center text-3xl tabular-nums">{Math.round(gauges.view().gauges[side]?.newtons ?? 0)} N</p>
        )}
        {keep.data?.newtons !== undefined && (
          <p className="text-center text-4xl font-bold">100 % is {Math.round(keep.data.newtons)} N</p>
        )}
        <Failure error={keep.error} />
        {keep.isSuccess ? (
          <Button look="main" className="min-h-14 w-full text-xl" onClick={close}>
            Good
          </Button>
        ) : keep.isError ? (
          <Button
            look="main"
            className="min-h-14 w-full text-xl"
            onClick={() => {
              setTries([]);
              keep.reset();
            }}
          >
            Measure again
          </Button>
        ) : (
          <Button
            look="main"
            className="min-h-14 w-full text-xl"
            disabled={begun !== null || restLeft > 0 || tries.length === TRIES}
            onClick={go}
          >
            Go
          </Button>
        )}
      </div>
    </Sheet>
  );
}

function words(done: number, pressing: boolean, restLeft: number, kept: boolean): string {
  if (kept) return 'Saved.';
  if (pressing) return 'Now, all of it';
  if (done === TRIES) return 'Reckoning…';
  return restLeft > 0 ? `Rest. Try ${done + 1} of ${TRIES} comes next` : `Try ${done + 1} of ${TRIES}`;
}

function same(a: Schemas['FloorReference'], b: Schemas['FloorReference']): boolean {
  return a.line === b.line && a.side === b.side && a.direction === b.direction;
}

function useClock(): number {
  const [now, setNow] = useState(() => performance.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(performance.now()), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}
