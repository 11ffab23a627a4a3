import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { api, ask, newId, on, type Schemas } from '../../shared/api/client';
import { VerdictGlyph } from '../../shared/draw/VerdictGlyph';
import { sideWords } from '../../shared/sides';
import { amount, words } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import { isTyping } from '../../shared/ui/keys';
import { useUndo } from './DecisionList';
import { ProposalView } from './ProposalView';

type Waiting = Schemas['Waiting'];

const URGENCIES: Record<Waiting['urgency'], string> = {
  STOP: 'Stop',
  STEP_DOWN: 'Step down',
  MEASURE: 'A measurement first',
  STEP_UP: 'Step up',
  STAY: 'Stay',
};

const NONE: Waiting[] = [];

/** Lines that cannot be judged, each with what to do about it; the others go on without them. */
function Unjudged({ lines }: { lines: Schemas['Unjudged'][] }) {
  if (lines.length === 0) return null;
  return (
    <section className="mb-5 border-l-4 border-warn bg-warn-paper px-3 py-2" aria-label="Cannot be judged">
      {lines.map((l) => (
        <p key={l.lineId} className="text-warn">
          <Link className="font-bold underline" to={`/clients/${l.clientId}/prescribe`}>
            {l.clientName}
          </Link>
          , {words(l.motion)}
          {l.session ? ` in “${l.session}”` : ''}: {l.finding.message}
        </p>
      ))}
    </section>
  );
}

function keyOf(w: Waiting): string {
  return `${w.lineId} ${w.side}`;
}

/** Everything that nobody has looked at yet, over all clients; a keyboard is enough to go through it. */
export function QueuePage() {
  const queue = useQuery({ queryKey: ['queue'], queryFn: () => ask(api.GET('/api/decisions')) });
  const [picked, setPicked] = useState<string | null>(null);
  const [last, setLast] = useState<{ lineId: string; decisionId: string; words: string } | null>(null);
  const all = queue.data?.waiting ?? NONE;
  const at = Math.max(
    0,
    all.findIndex((w) => keyOf(w) === picked),
  );
  const now = all[at];
  const undo = useUndo(last?.lineId ?? '');
  const takeBack = undo.mutate;
  const move = useCallback(
    (by: number) => {
      const next = all[Math.min(all.length - 1, Math.max(0, at + by))];
      if (next) setPicked(keyOf(next));
    },
    [all, at],
  );
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (isTyping(e) || e.ctrlKey || e.metaKey) return;
      if (e.key === 'ArrowDown' || e.key === 'j') move(1);
      else if (e.key === 'ArrowUp' || e.key === 'k') move(-1);
      else if (e.key === 'u' && last) takeBack(last.decisionId, { onSuccess: () => setLast(null) });
      else return;
      e.preventDefault();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [move, last, takeBack]);
  if (queue.error) return <Failure error={queue.error} />;
  if (!queue.data) return <p className="text-soft">Looking at every line…</p>;
  return (
    <>
      <header className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1 className="text-3xl font-bold">Decisions</h1>
          <p className="text-soft">
            {all.length === 0 ? 'Nothing waits.' : `${all.length} to look at, the most urgent first.`}
          </p>
        </div>
        <div className="flex flex-wrap gap-3">
          {last && (
            <Button onClick={() => takeBack(last.decisionId, { onSuccess: () => setLast(null) })}>
              Take back: {last.words} (u)
            </Button>
          )}
          <AcceptPlain waiting={all} />
        </div>
      </header>
      <Failure error={undo.error} />
      <Unjudged lines={queue.data.unjudged} />
      {now ? (
        <div className="grid gap-8 lg:grid-cols-[22rem_1fr]">
          <List waiting={all} chosen={keyOf(now)} choose={setPicked} />
          <Detail
            key={keyOf(now)}
            waiting={now}
            onDecided={(decisionId) => {
              const next = all[at + 1] ?? all[at - 1];
              setPicked(next ? keyOf(next) : null);
              // Another method is a new version of the line, not a decision to take back here.
              setLast(
                decisionId
                  ? {
                      lineId: now.lineId,
                      decisionId,
                      words: `${now.clientName}, ${sideWords(now.side, now.sides)}`,
                    }
                  : null,
              );
            }}
          />
        </div>
      ) : (
        <p className="max-w-prose text-lg">
          Every session has been looked at. What comes in next, from the floor, from home or from a file, stands here as
          soon as it changes anything;{' '}
          <Link className="underline" to="/">
            Today
          </Link>{' '}
          says who is due.
        </p>
      )}
    </>
  );
}

type ListProps = { waiting: Waiting[]; chosen: string; choose: (key: string) => void };

function List({ waiting, chosen, choose }: ListProps) {
  const current = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    current.current?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);
  return (
    <ul className="max-h-[38vh] overflow-y-auto lg:max-h-[75vh]" aria-label="What waits">
      {waiting.map((w, i) => {
        const key = keyOf(w);
        const heads = waiting[i - 1]?.urgency !== w.urgency;
        return (
          <li key={key}>
            {heads && <h2 className="mt-3 mb-1 text-sm font-bold text-soft">{URGENCIES[w.urgency]}</h2>}
            <button
              ref={key === chosen ? current : undefined}
              aria-current={key === chosen}
              onClick={() => choose(key)}
              className={`w-full border-t border-l-4 border-t-rule px-3 py-1.5 text-left ${
                key === chosen ? 'border-l-ink bg-card' : 'border-l-transparent hover:bg-tread'
              }`}
            >
              <span className="flex items-baseline justify-between gap-2">
                <strong>{w.clientName}</strong>
                <span className="text-sm whitespace-nowrap text-soft">{sideWords(w.side, w.sides)}</span>
              </span>
              {w.session && <span className="block text-xs text-soft">in “{w.session}”</span>}
              <span className="block text-sm">{w.suspends ? `suspends: ${w.why.text}` : w.why.text}</span>
              <Also waiting={w} />
              {w.fresh.length > 0 && <span className="block text-xs text-soft">new this week: {w.fresh.length}</span>}
            </button>
          </li>
        );
      })}
    </ul>
  );
}

/** What changes beside the step itself. */
function Also({ waiting: { why, changes } }: { waiting: Waiting }) {
  const more = changes.filter((c) => !why.text.includes(fromTo(c))).map(changed);
  return more.length > 0 ? <span className="block text-xs text-soft">{more.join(', ')}</span> : null;
}

function fromTo(c: Schemas['Change']): string {
  return `${amount(c.from, c.unit)} → ${amount(c.to, c.unit)}`;
}

function changed(c: Schemas['Change']): string {
  return `${c.what} ${fromTo(c)}`;
}

function Detail({ waiting, onDecided }: { waiting: Waiting; onDecided: (decisionId?: string) => void }) {
  const proposals = useQuery({
    queryKey: ['proposals', waiting.lineId],
    queryFn: () => ask(api.GET('/api/lines/{lineId}/proposals', { params: { path: { lineId: waiting.lineId } } })),
  });
  const judged = proposals.data && on(waiting.side, proposals.data.sides);
  return (
    <div>
      <p className="mb-2 text-lg">
        <Link className="font-bold underline" to={`/clients/${waiting.clientId}/advance`}>
          {waiting.clientName}
        </Link>
        , {words(waiting.motion)}, {sideWords(waiting.side, waiting.sides)}
        {waiting.session && <span className="text-soft"> in “{waiting.session}”</span>}
      </p>
      <Failure error={proposals.error} />
      {judged ? (
        <ProposalView
          key={JSON.stringify(judged.proposal.to) + judged.proposal.verdict}
          judged={judged}
          lineId={waiting.lineId}
          clientId={waiting.clientId}
          onDecided={onDecided}
        />
      ) : (
        <VerdictGlyph verdict={waiting.verdict} big />
      )}
    </div>
  );
}

/** One press for what asks for nothing and warns of nothing. */
function AcceptPlain({ waiting }: { waiting: Waiting[] }) {
  const queries = useQueryClient();
  const plain = waiting.filter((w) => w.plain);
  const [done, setDone] = useState(0);
  const accept = useMutation({
    mutationFn: async () => {
      setDone(0);
      for (const w of plain) {
        await ask(
          api.POST('/api/lines/{lineId}/decisions', {
            params: { path: { lineId: w.lineId } },
            body: { id: newId(), side: w.side, answer: 'ACCEPTED', seen: w.to, reason: '' },
          }),
        );
        setDone((n) => n + 1);
      }
    },
    onSettled: () => queries.invalidateQueries(),
  });
  if (plain.length === 0) return null;
  return (
    <div>
      <Button look="main" disabled={accept.isPending} onClick={() => accept.mutate()}>
        {accept.isPending ? `${done} of ${plain.length} accepted…` : `Accept the ${plain.length} plain ones`}
      </Button>
      <p className="text-xs text-soft">Steps up and stays that ask for nothing and warn of nothing.</p>
      <Failure error={accept.error} />
    </div>
  );
}
