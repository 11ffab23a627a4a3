import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { api, ask, on, type Schemas } from '../../shared/api/client';
import { VerdictGlyph } from '../../shared/draw/VerdictGlyph';
import { sideWords } from '../../shared/sides';
import { counted, words } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import { isTyping } from '../../shared/ui/keys';
import { AcceptPlain, useAcceptPlain } from './AcceptPlain';
import { useUndo } from './DecisionList';
import { ProposalView } from './ProposalView';
import { keyOf, QueueList } from './QueueList';

type Waiting = Schemas['Waiting'];

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

/** The most urgent client first, and all of a client together. */
function byClient({ clients, waiting }: Schemas['Queue']): Waiting[] {
  return clients.flatMap((c) => waiting.filter((w) => w.clientId === c.clientId));
}

/** Everything that nobody has looked at yet, over all clients; a keyboard is enough to go through it. */
export function QueuePage() {
  const queue = useQuery({ queryKey: ['queue'], queryFn: () => ask(api.GET('/api/decisions')) });
  const [picked, setPicked] = useState<string | null>(null);
  const [last, setLast] = useState<{ lineId: string; decisionId: string; words: string } | null>(null);
  const all = useMemo(() => (queue.data ? byClient(queue.data) : NONE), [queue.data]);
  const at = Math.max(
    0,
    all.findIndex((w) => keyOf(w) === picked),
  );
  const now = all[at];
  const here = all.filter((w) => w.clientId === now?.clientId);
  const acceptHere = useAcceptPlain(here, () => setLast(null));
  const acceptPlain = acceptHere.accept;
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
      else if (e.key === 'p') acceptPlain();
      else if (e.key === 'u' && last) takeBack(last.decisionId, { onSuccess: () => setLast(null) });
      else return;
      e.preventDefault();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [move, last, takeBack, acceptPlain]);
  if (queue.error) return <Failure error={queue.error} />;
  if (!queue.data) return <p className="text-soft">Looking at every line…</p>;
  return (
    <>
      <header className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1 className="text-3xl font-bold">Decisions</h1>
          <p className="text-soft">
            {all.length === 0
              ? 'Nothing waits.'
              : `${all.length} to look at, of ${counted(queue.data.clients.length, 'client')}, the most urgent first.`}
          </p>
        </div>
        <div className="flex flex-wrap gap-3">
          {last && (
            <Button onClick={() => takeBack(last.decisionId, { onSuccess: () => setLast(null) })}>
              Undo: {last.words} (u)
            </Button>
          )}
          <AcceptPlain of={acceptHere} name={now?.clientName ?? ''} />
        </div>
      </header>
      <Failure error={undo.error} />
      <Unjudged lines={queue.data.unjudged} />
      {now ? (
        <div className="grid gap-8 lg:grid-cols-[22rem_1fr]">
          <QueueList sums={queue.data.clients} waiting={all} chosen={keyOf(now)} choose={setPicked} />
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
          Every session has been looked at. What comes in next, from the floor, from home or from a file, appears here
          as soon as it changes anything. A line that simply stays asks for nothing;{' '}
          <Link className="underline" to="/">
            Today
          </Link>{' '}
          says who is due.
        </p>
      )}
    </>
  );
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
