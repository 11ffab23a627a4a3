import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, findingsOf, newId, on, type Schemas, type Side } from '../../shared/api/client';
import { VerdictGlyph } from '../../shared/draw/VerdictGlyph';
import { amount, day, degrees, words } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { Choice } from '../../shared/ui/Choice';
import { ClientHead, useClientDay } from '../../shared/ui/ClientHead';
import { DoseInputs } from '../../shared/ui/DoseInputs';
import { Failure, FieldFinding } from '../../shared/ui/Findings';
import { isTyping } from '../../shared/ui/keys';
import { GateList } from './GateList';

type Judged = Schemas['Judged'];
type Answer = Schemas['Decision']['answer'];

export function DecisionPage() {
  const { clientId = '' } = useParams();
  const dayState = useClientDay(clientId);
  const lineId = dayState.data?.lines[0]?.lineId;
  const proposals = useQuery({
    queryKey: ['proposals', lineId],
    enabled: lineId !== undefined,
    queryFn: () => ask(api.GET('/api/lines/{lineId}/proposals', { params: { path: { lineId: lineId ?? '' } } })),
  });
  return (
    <>
      <ClientHead clientId={clientId} tread="advance" />
      <Failure error={proposals.error} />
      {dayState.data && !lineId && (
        <p className="text-lg">
          Nothing to judge yet: there is no plan.{' '}
          <Link className="font-semibold underline" to={`/clients/${clientId}/prescribe`}>
            Prescribe
          </Link>{' '}
          first.
        </p>
      )}
      {proposals.data && <Decisions proposals={proposals.data} clientId={clientId} />}
    </>
  );
}

function Decisions({ proposals, clientId }: { proposals: Schemas['Proposals']; clientId: string }) {
  const waiting: Side = proposals.sides.left.waits || !proposals.sides.right.waits ? 'LEFT' : 'RIGHT';
  const [picked, setPicked] = useState<Side | null>(null);
  const side = picked ?? waiting;
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (isTyping(e)) return;
      if (e.key === 'ArrowLeft') setPicked('LEFT');
      if (e.key === 'ArrowRight') setPicked('RIGHT');
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, []);
  const judged = on(side, proposals.sides);
  return (
    <>
      <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <Choice
          label={words(proposals.line.motion)}
          value={side}
          onChange={setPicked}
          options={[
            ['LEFT', proposals.sides.left.waits ? 'Left, waits' : 'Left'],
            ['RIGHT', proposals.sides.right.waits ? 'Right, waits' : 'Right'],
          ]}
        />
        <p className="text-soft">The session then takes {proposals.minutes} min.</p>
      </div>
      <ProposalView
        key={side + JSON.stringify(judged.proposal.to) + judged.proposal.verdict}
        judged={judged}
        lineId={proposals.line.id}
        clientId={clientId}
        onDecided={() => setPicked(null)}
      />
      <Kept lineId={proposals.line.id} />
    </>
  );
}

type ViewProps = { judged: Judged; lineId: string; clientId: string; onDecided: () => void };

function ProposalView({ judged, lineId, clientId, onDecided }: ViewProps) {
  const p = judged.proposal;
  return (
    <div className="grid gap-8 lg:grid-cols-2">
      <section>
        <VerdictGlyph verdict={p.verdict} big />
        <p className="my-2 text-3xl font-bold">{p.why.text}</p>
        {p.suspends && (
          <p className="mb-2 border-l-4 border-warn bg-warn-paper px-3 py-2 font-semibold text-warn">
            Something known only since then is more cautious: the step accepted before is suspended.
          </p>
        )}
        <Consequences proposal={p} />
        {judged.evidence.length > 0 && (
          <p className="my-3">
            <strong>Rests on</strong>{' '}
            {judged.evidence.map((e, i) => (
              <span key={e.sessionId}>
                {i > 0 && ', '}
                <Link className="underline" to={`/sessions/${e.sessionId}/close`}>
                  session of {day(e.endedAt)}
                </Link>
              </span>
            ))}
            .
          </p>
        )}
        {p.requests.length > 0 && (
          <p className="my-3">
            <strong>Asked for:</strong> {p.requests.map((r) => r.text.toLowerCase()).join('; ')}.
          </p>
        )}
        {p.verdict === 'STOP_AND_REFER' ? (
          <p className="my-3">
            Nothing else is proposed.{' '}
            <Link className="font-semibold underline" to={`/clients/${clientId}`}>
              Enter the written clearance
            </Link>{' '}
            when it is there.
          </p>
        ) : (
          <Answers judged={judged} lineId={lineId} onDecided={onDecided} />
        )}
      </section>
      <section>
        <h2 className="mb-2 text-xl font-bold">Gates, in order</h2>
        <GateList gates={p.gates} />
        <Alternatives proposal={p} />
      </section>
    </div>
  );
}

function Consequences({ proposal }: { proposal: Schemas['Proposal'] }) {
  if (proposal.consequences.length === 0) return <DoseLine dose={proposal.from} />;
  return (
    <table className="my-3">
      <tbody className="text-xl">
        {proposal.consequences.map((c) => (
          <tr key={c.what} className="border-t border-rule">
            <th className="py-1 pr-6 text-left font-normal text-soft">{c.what}</th>
            <td className="pr-3">{amount(c.from, c.unit)}</td>
            <td className="pr-3" aria-label="to">
              →
            </td>
            <td className="font-bold">{amount(c.to, c.unit)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function DoseLine({ dose }: { dose: Schemas['Dose'] }) {
  return (
    <p className="my-3 text-soft">
      The dose stays: {degrees(dose.angle)}, {dose.sets} sets to {dose.ceiling} %, top hold {dose.topHoldSeconds} s,
      supported {dose.supportedHoldSeconds} s
      {dose.handsOffSeconds > 0 ? `, hands-off ${dose.handsOffRepetitions} × ${dose.handsOffSeconds} s` : ''}.
    </p>
  );
}

function Answers({ judged, lineId, onDecided }: Omit<ViewProps, 'clientId'>) {
  const p = judged.proposal;
  const queries = useQueryClient();
  const [id] = useState(newId);
  const [mode, setMode] = useState<'CHANGED' | 'DECLINED' | null>(null);
  const [dose, setDose] = useState(p.to);
  const [reason, setReason] = useState('');
  const decide = useMutation({
    mutationFn: (answer: Answer) =>
      ask(
        api.POST('/api/lines/{lineId}/decisions', {
          params: { path: { lineId } },
          body: { id, side: p.side, answer, seen: p.to, dose: answer === 'CHANGED' ? dose : undefined, reason },
        }),
      ),
    onSuccess: async () => {
      onDecided();
      await queries.invalidateQueries();
    },
  });
  const findings = findingsOf(decide.error).map((f) => ({
    ...f,
    path: f.path.replace(/^dose\./, `doses.${p.side.toLowerCase()}.`),
  }));
  const stay = p.verdict === 'STAY' && !p.suspends;
  const accept = decide.mutate;
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (isTyping(e) || e.ctrlKey || e.metaKey) return;
      const actions: Record<string, () => void> = { c: () => setMode('CHANGED') };
      if (!stay) Object.assign(actions, { a: () => accept('ACCEPTED'), d: () => setMode('DECLINED') });
      const action = actions[e.key];
      if (!action) return;
      e.preventDefault(); // or the letter lands in the field that opens
      action();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [accept, stay]);
  return (
    <div className="mt-4 space-y-4">
      <div className="flex flex-wrap gap-3">
        {!stay && (
          <Button
            look="main"
            className="min-h-14 px-8 text-xl"
            disabled={decide.isPending}
            onClick={() => decide.mutate('ACCEPTED')}
          >
            Accept
          </Button>
        )}
        <Button className="min-h-14" onClick={() => setMode('CHANGED')} aria-pressed={mode === 'CHANGED'}>
          Change
        </Button>
        {!stay && (
          <Button className="min-h-14" onClick={() => setMode('DECLINED')} aria-pressed={mode === 'DECLINED'}>
            Decline
          </Button>
        )}
      </div>
      {mode === 'CHANGED' && (
        <div className="grid grid-cols-2 gap-x-8 gap-y-3 sm:grid-cols-3">
          <DoseInputs dose={dose} setDose={setDose} findings={findings} side={p.side} />
        </div>
      )}
      {mode && (
        <>
          <label className="block text-sm text-soft">
            Why{mode === 'CHANGED' ? ' (needed when it goes further than proposed)' : ''}
            <input
              className="block w-full border-b-2 border-rule bg-transparent py-1 text-base text-ink outline-none focus:border-ink"
              value={reason}
              autoFocus={mode === 'DECLINED'}
              onChange={(e) => setReason(e.target.value)}
            />
          </label>
          <FieldFinding findings={findings} path="reason" />
          <Button look="main" disabled={decide.isPending} onClick={() => decide.mutate(mode)}>
            {mode === 'CHANGED' ? 'Set this dose' : 'Decline'}
          </Button>
        </>
      )}
      <Failure error={findings.some((f) => f.path !== '') ? null : decide.error} />
    </div>
  );
}

function Alternatives({ proposal }: { proposal: Schemas['Proposal'] }) {
  if (proposal.alternatives.length === 0) return null;
  return (
    <>
      <h2 className="mt-5 mb-2 text-xl font-bold">Looked at and not taken</h2>
      <ul className="space-y-1">
        {proposal.alternatives.map((a) => (
          <li key={a.lever}>
            <span className="font-semibold">{words(a.lever)}</span>
            <span className="text-soft">
              : {a.possible ? `would be next, ${a.why.text.toLowerCase()}` : a.why.text}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}

function Kept({ lineId }: { lineId: string }) {
  const kept = useQuery({
    queryKey: ['kept', lineId],
    queryFn: () => ask(api.GET('/api/lines/{lineId}/decisions', { params: { path: { lineId } } })),
  });
  const latest = [...(kept.data ?? [])].reverse().slice(0, 12);
  if (latest.length === 0) return null;
  return (
    <section className="mt-8">
      <h2 className="mb-2 text-xl font-bold">Decided so far</h2>
      <ul className="columns-1 gap-8 md:columns-2">
        {latest.map((k) => (
          <li key={k.id} className="break-inside-avoid border-t border-rule py-1 text-sm">
            <span className="text-soft">{day(k.happenedAt)}</span> {words(k.side)}:{' '}
            <strong>
              {words(k.proposed)}, {words(k.answer)}
            </strong>{' '}
            <span className="text-soft">
              {difference(k.before, k.after)}
              {k.reason ? `, because ${k.reason}` : ''}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

const PARTS: [keyof Schemas['Dose'], string, string][] = [
  ['angle', 'angle', '°'],
  ['ceiling', 'ceiling', ' %'],
  ['topHoldSeconds', 'top hold', ' s'],
  ['sets', 'sets', ''],
  ['supportedHoldSeconds', 'supported', ' s'],
  ['handsOffSeconds', 'hands-off', ' s'],
];

function difference(before: Schemas['Dose'], after: Schemas['Dose']): string {
  const parts = PARTS.filter(([key]) => before[key] !== after[key]).map(
    ([key, name, unit]) => `${name} ${Number(before[key].toFixed(1))} → ${Number(after[key].toFixed(1))}${unit}`,
  );
  return parts.length > 0 ? parts.join(', ') : 'dose unchanged';
}
