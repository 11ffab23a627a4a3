import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { useParams } from 'react-router';
import { api, ask, AT_HOME, on, SIDES, type Schemas } from '../../../shared/api/client';
import { counted, daysAgo, words } from '../../../shared/units';
import { Button } from '../../../shared/ui/Button';
import { ButtonLink } from '../../../shared/ui/ButtonLink';
import { Failure } from '../../../shared/ui/Findings';
import { Scale } from '../../../shared/ui/Scale';

type Observer = Schemas['CloseDraft']['observer'];

const OBSERVERS: [Observer, string][] = [
  ['COACH', 'coach'],
  ['VIDEO_CALL', 'coach by video call'],
  ['CLIENT', 'the client'],
  ['NOBODY', 'nobody'],
];

/** At home no coach watched. */
const HOME_OBSERVERS: [Observer, string][] = [
  ['CLIENT', 'I watched myself'],
  ['NOBODY', 'nobody'],
];

// Not loaded on a client's phone.
const ClientHead = lazy(() => import('../../../shared/ui/ClientHead').then((m) => ({ default: m.ClientHead })));
const RecordExtras = lazy(() => import('./RecordExtras').then((m) => ({ default: m.RecordExtras })));

/** Planned against done, left against right, before the session is closed. */
export function ClosePage() {
  const { runId = '' } = useParams();
  const path = { params: { path: { runId } } };
  const floor = useQuery({
    queryKey: ['floor-head', runId],
    queryFn: () => ask(api.GET('/api/runs/{runId}', path)),
  });
  const summary = useQuery({
    queryKey: ['summary', runId],
    queryFn: () => ask(api.GET('/api/runs/{runId}/summary', path)),
  });
  return (
    <>
      {floor.data && !AT_HOME && (
        <Suspense fallback={null}>
          <ClientHead clientId={floor.data.clientId} tread="perform" />
        </Suspense>
      )}
      <Failure error={floor.error ?? summary.error} />
      {summary.data && floor.data && (
        <div className="grid gap-8 lg:grid-cols-2">
          <Compared summary={summary.data} />
          {summary.data.closed ? (
            <Closed closed={summary.data.closed} load={summary.data.load} clientId={floor.data.clientId} />
          ) : (
            <CloseForm runId={runId} summary={summary.data} />
          )}
        </div>
      )}
      {floor.data && summary.data && !AT_HOME && (
        <Suspense fallback={null}>
          <RecordExtras floor={floor.data} summary={summary.data} />
        </Suspense>
      )}
    </>
  );
}

/** What the share is of: the kind of work that was done least of. */
function done(side: Schemas['SideSummary']): string {
  if (!side.work) return 'nothing was planned on this side';
  const kind = { CONTRACTION: 'contraction', REPETITIONS: 'repetitions', HOLD: 'hold', NONE: 'work' }[side.work];
  const unit = side.work === 'REPETITIONS' ? '' : ' s';
  return `of the planned ${kind} (${Math.floor(side.done)} of ${Math.round(side.planned)}${unit})`;
}

function Compared({ summary }: { summary: Schemas['Summary'] }) {
  return (
    <section>
      <h2 className="mb-2 text-xl font-bold">Planned and done</h2>
      <div className="mb-4 grid grid-cols-2 gap-6">
        {SIDES.map((side) => {
          const s = on(side, summary.sides);
          return (
            <div key={side} className="border-t-[5px] border-ink pt-1">
              <p className="font-semibold">{side === 'LEFT' ? 'Left' : 'Right'}</p>
              <p className="text-5xl font-bold">{Math.floor(s.ratio * 100)} %</p>
              <p className="text-sm text-soft">{done(s)}</p>
              <p className="text-sm">
                {s.worstPain > 0 ? `pain ${s.worstPain}/10 · ` : ''}
                {counted(s.faults, 'fault')} · {counted(s.cramps, 'cramp')}
              </p>
              {s.left.length > 0 && (
                <ul className="mt-1 text-sm font-semibold text-warn">
                  {leftOut(s.left).map((line) => (
                    <li key={line}>▲ {line}</li>
                  ))}
                </ul>
              )}
            </div>
          );
        })}
      </div>
      <table className="w-full text-right">
        <thead className="text-sm text-soft">
          <tr>
            <th />
            <th className="font-normal">left planned</th>
            <th className="font-normal">done</th>
            <th className="font-normal">right planned</th>
            <th className="font-normal">done</th>
          </tr>
        </thead>
        <tbody>
          {summary.rows.map((row) => (
            <tr key={row.kind} className="border-t border-rule">
              <th className="py-1 text-left font-normal">{words(row.kind)}</th>
              {SIDES.flatMap((side) => [on(side, row.planned), on(side, row.done)]).map((value, i) => (
                <td key={i} className={i % 2 === 1 ? 'font-semibold' : 'text-soft'}>
                  {Math.round(value)} s
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function CloseForm({ runId, summary }: { runId: string; summary: Schemas['Summary'] }) {
  const queries = useQueryClient();
  const [observer, setObserver] = useState<Observer | null>(null);
  const [rating, setRating] = useState<number | null>(null);
  const [note, setNote] = useState('');
  const close = useMutation({
    mutationFn: (by: Observer) =>
      ask(
        api.POST('/api/runs/{runId}/close', {
          params: { path: { runId } },
          body: { observer: by, rating: rating ?? undefined, note },
        }),
      ),
    onSuccess: () => queries.invalidateQueries(),
  });
  const leftOut = summary.sides.left.left.length + summary.sides.right.left.length > 0;
  return (
    <section className="space-y-4">
      <h2 className="text-xl font-bold">Close the session</h2>
      {leftOut && (
        <p className="font-semibold text-warn">▲ Some of it was left out; it stays in the record as not done.</p>
      )}
      <div>
        <span className="block text-sm text-soft">Who watched?</span>
        <div className="mt-1 flex flex-wrap border border-rule" role="radiogroup" aria-label="Who watched?">
          {(AT_HOME ? HOME_OBSERVERS : OBSERVERS).map(([id, text]) => (
            <button
              key={id}
              role="radio"
              aria-checked={observer === id}
              className={`min-h-11 grow border-r border-rule px-3 last:border-r-0 ${observer === id ? 'bg-ink font-bold text-paper' : 'bg-card hover:bg-tread'}`}
              onClick={() => setObserver(id)}
            >
              {text}
            </button>
          ))}
        </div>
      </div>
      <div>
        <span className="block text-sm text-soft">How hard was the whole session, 0 to 10?</span>
        <Scale label="How hard was the session" look="mt-1" value={rating} onChange={setRating} />
      </div>
      <label className="block text-sm text-soft">
        Note
        <input
          className="block w-full border-b-2 border-rule bg-transparent py-1 text-base text-ink outline-none focus:border-ink"
          value={note}
          onChange={(e) => setNote(e.target.value)}
        />
      </label>
      <Failure error={close.error} />
      <Button
        look="main"
        className="min-h-14 w-full text-xl"
        disabled={observer === null || close.isPending}
        onClick={() => observer && close.mutate(observer)}
      >
        Close
      </Button>
      {observer === null && (
        <p className="text-sm text-soft">Say who watched: faults that nobody saw are unknown, not zero.</p>
      )}
    </section>
  );
}

type ClosedProps = { closed: Schemas['Closed']; load: Schemas['Load'] | undefined; clientId: string };

function Closed({ closed, load, clientId }: ClosedProps) {
  return (
    <section>
      <h2 className="text-xl font-bold">{closed.stopSign ? `Stopped: ${words(closed.stopSign)}` : 'Closed'}</h2>
      <p className="mb-4 text-soft">
        Watched by {OBSERVERS.find(([o]) => o === closed.observer)?.[1]}
        {closed.rating === undefined ? '' : `, rated ${closed.rating}/10`}.
        {daysAgo(closed.happenedAt) === 'today' &&
          (AT_HOME
            ? ' Tomorrow morning there are two short questions here.'
            : ' Tomorrow morning two questions are asked under Today; until then nothing steps up.')}
      </p>
      {load && (
        <p className="mb-4">
          Load <span className="text-2xl font-bold">{Math.round(load.points)}</span>{' '}
          <span className="text-soft">
            = rating {closed.rating} × {Math.round(load.minutes)} min done
            {load.referenceMinutes > 0 &&
              `, ${Math.max(1, Math.round(load.referenceMinutes))} of them for all-out references`}
          </span>
        </p>
      )}
      <div className="flex flex-wrap gap-3">
        {!AT_HOME && (
          <>
            <ButtonLink to={`/runs/${closed.runId}/replay`}>Watch it again</ButtonLink>
            <ButtonLink to={`/clients/${clientId}/advance`}>See what it means</ButtonLink>
          </>
        )}
        <ButtonLink to="/">{AT_HOME ? 'Back to my training' : 'Back to today'}</ButtonLink>
      </div>
    </section>
  );
}

/** "left-2-press: tired" and its like as they are said under their side, a line for each reason. */
function leftOut(all: string[]): string[] {
  const byReason = new Map<string, string[]>();
  for (const text of all) {
    const [label = '', ...why] = text.split(': ');
    byReason.set(why.join(': '), [...(byReason.get(why.join(': ')) ?? []), label]);
  }
  return [...byReason].map(([why, blocks]) => `left out, ${why}: ${blocks.join(', ')}`);
}
