import { useMutation, useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { api, ask, findingsOf, type Schemas } from '../../shared/api/client';
import { verdictWord } from '../../shared/draw/VerdictGlyph';

import { amount, words } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { GateList } from './GateList';

type Fact = Schemas['Fact'];

/** A history told fact by fact, the newest first: a line's own, or a small file's. */
export function WhyPage() {
  const [search] = useSearchParams();
  const line = search.get('line');
  const own = useQuery({
    queryKey: ['why', line],
    enabled: line !== null,
    queryFn: () => ask(api.GET('/api/lines/{lineId}/why', { params: { path: { lineId: line ?? '' } } })),
  });
  const whose = useQuery({
    queryKey: ['line', line],
    enabled: line !== null,
    queryFn: () => ask(api.GET('/api/lines/{lineId}', { params: { path: { lineId: line ?? '' } } })),
  });
  const file = useMutation({ mutationFn: (csv: string) => ask(api.POST('/api/why', { body: { csv } })) });
  const facts = file.data ?? own.data;
  return (
    <>
      <h1 className="text-3xl font-bold">Why?{whose.data && !file.data && ` ${words(whose.data.line.motion)}`}</h1>
      <p className="mb-4 max-w-prose text-soft">
        Every fact in the order of time: what it changed, how each gate judged then, and what was proposed. Open a line
        from its decisions, or import a small history of your own; it is worked out and not saved.
      </p>
      <label className="mb-4 block">
        <span className="mb-1 block text-sm text-soft">A small history, as a CSV file</span>
        <input
          type="file"
          accept=".csv,text/csv"
          className="min-h-11"
          onChange={(e) => void e.target.files?.[0]?.text().then((csv) => file.mutate(csv))}
        />
      </label>
      <OtherFindings findings={findingsOf(file.error)} shown={() => false} />
      <Failure error={own.error ?? (findingsOf(file.error).length > 0 ? null : file.error)} />
      {!line && !facts && <Example tell={file.mutate} />}
      {facts?.length === 0 && <p>Nothing was recorded for this line yet.</p>}
      <ol className="space-y-3">
        {facts?.map((fact, i) => <OneFact key={i} fact={fact} open={i === facts.length - 1} />).reverse()}
      </ol>
    </>
  );
}

const EXAMPLE = `at,fact,side,value,detail
2026-03-01T09:00:00Z,line,,prone-knee-bent,ramp-both-ways
2026-03-01T09:00:00Z,wanted,,45,
2026-03-01T09:00:00Z,angle,,30,
2026-03-01T09:05:00Z,reading,,36.5,passive
2026-03-02T18:00:00Z,session,,,
2026-03-03T08:00:00Z,morning,,yes,1
2026-03-05T18:00:00Z,session,,,
2026-03-05T18:00:00Z,pain,left,3,press while_contracting
2026-03-06T08:00:00Z,morning,,yes,0
`;

/** What such a file looks like. */
function Example({ tell }: { tell: (csv: string) => void }) {
  return (
    <section className="max-w-2xl">
      <h2 className="mb-1 text-xl font-bold">Such a file looks like this</h2>
      <pre className="mb-3 overflow-x-auto border border-rule bg-card p-3 text-sm">{EXAMPLE}</pre>
      <Button look="main" onClick={() => tell(EXAMPLE)}>
        Tell this one
      </Button>
    </section>
  );
}

function OneFact({ fact, open }: { fact: Fact; open: boolean }) {
  const late = Date.parse(fact.recorded) - Date.parse(fact.at) > 86_400_000;
  return (
    <li>
      <details open={open} className="border border-rule bg-card">
        <summary className="min-h-11 cursor-pointer px-3 py-2">
          <span className="text-sm text-soft">{new Date(fact.at).toLocaleString()}</span>
          <span className="block font-semibold">{fact.what}</span>
          {late && <span className="block text-sm">Known only on {new Date(fact.recorded).toLocaleString()}</span>}
          {fact.sides.map((s) => (
            <span key={s.side} className="block text-sm">
              {words(s.side)}: {verdictWord(s.verdict).toLowerCase()}. {s.why.text}
            </span>
          ))}
        </summary>
        <div className="grid gap-6 px-3 pb-4 lg:grid-cols-2">
          {fact.sides.map((s) => (
            <OneSide key={s.side} side={s} />
          ))}
        </div>
      </details>
    </li>
  );
}

function OneSide({ side }: { side: Schemas['WhyJudged'] }) {
  return (
    <section>
      <h3 className="font-bold first-letter:uppercase">{words(side.side)}</h3>
      <p className="text-sm">
        {side.changed.length === 0 ? 'It changed nothing on this side.' : `Changed: ${side.changed.join('; ')}.`}
      </p>
      <GateList gates={side.gates} />
      {side.changes.length > 0 && (
        <p className="mt-2">
          Proposed:{' '}
          {side.changes.map((c) => `${c.what} ${amount(c.from, c.unit)} → ${amount(c.to, c.unit)}`).join(', ')}.
        </p>
      )}
      {side.alternatives.length > 0 && (
        <ul className="mt-2 list-disc pl-5 text-sm text-soft">
          {side.alternatives.map((a, i) => (
            <li key={i}>{a.text}</li>
          ))}
        </ul>
      )}
      {side.requests.map((r) => (
        <p key={r.reason} className="mt-1 text-sm font-semibold">
          Asked for: {r.text}
        </p>
      ))}
    </section>
  );
}
