import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../shared/api/client';
import { VerdictGlyph } from '../../shared/draw/VerdictGlyph';
import { amount, degrees, words } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { isTyping } from '../../shared/ui/keys';
import { BlocksInWords } from './BlockDose';
import { Answers } from './Answers';
import { Evidence } from './Evidence';
import { OtherMethods } from './OtherMethods';
import { GateList } from './GateList';

type Reason = Schemas['Proposal']['why']['reason'];

type Props = {
  judged: Schemas['Judged'];
  lineId: string;
  clientId: string;
  onDecided: (decisionId?: string) => void;
};

/** One side's proposal with everything a coach signs by. */
export function ProposalView({ judged, lineId, clientId, onDecided }: Props) {
  const p = judged.proposal;
  const [evidence, setEvidence] = useState(false);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (!isTyping(e) && !e.ctrlKey && e.key === 'e') setEvidence((shown) => !shown);
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, []);
  return (
    <div className="grid gap-8 xl:grid-cols-2">
      <section>
        <VerdictGlyph verdict={p.verdict} big />
        <p className="my-2 text-3xl font-bold">{p.why.text}</p>
        {p.suspends && (
          <p className="mb-2 border-l-4 border-warn bg-warn-paper px-3 py-2 font-semibold text-warn">
            Something known only since then is more cautious: the step accepted before is suspended.
          </p>
        )}
        <Consequences proposal={p} />
        {p.notes.map((note) => (
          <p key={note.text} className="my-2 border-l-4 border-ink bg-card px-3 py-1.5">
            {note.text}. <Way reason={note.reason} clientId={clientId} />
          </p>
        ))}
        {p.requests.map((asked) => (
          <p key={asked.text} className="my-3">
            <strong>Asked for:</strong> {asked.text.toLowerCase()}. <Way reason={asked.reason} clientId={clientId} />
          </p>
        ))}
        {p.verdict === 'STOP_AND_REFER' ? (
          <p className="my-3">
            Nothing else is proposed.{' '}
            <Link className="font-semibold underline" to={`/clients/${clientId}/file`}>
              Enter the written clearance
            </Link>{' '}
            when it is there.
          </p>
        ) : (
          <Answers judged={judged} lineId={lineId} onDecided={onDecided} />
        )}
        <OtherMethods lineId={lineId} methods={p.methods} onDecided={onDecided} />
        <Since change={judged.change} />
        <Button className="mt-4 text-sm" aria-expanded={evidence} onClick={() => setEvidence(!evidence)}>
          {evidence ? 'Hide the evidence' : `Evidence: ${judged.evidence.length} sessions and the range`} (e)
        </Button>
        {evidence && <Evidence judged={judged} />}
      </section>
      <section>
        <h2 className="mb-2 text-xl font-bold">Gates, in order</h2>
        <GateList gates={p.gates} />
        <Alternatives proposal={p} />
      </section>
    </div>
  );
}

const WAYS: Partial<Record<Reason, [string, string]>> = {
  RETEST_WEEK: ['measure', 'Measure'],
  ASK_COLD: ['measure', 'Measure'],
  ASK_RETEST: ['measure', 'Measure'],
  ASK_GRADE: ['measure', 'Measure'],
  ASK_MASS: ['', 'To the file'],
};

/** Where a note or a request is answered. */
function Way({ reason, clientId }: { reason: Reason; clientId: string }) {
  const way = WAYS[reason];
  if (!way) return null;
  return (
    <Link className="font-semibold underline" to={`/clients/${clientId}${way[0] && `/${way[0]}`}`}>
      {way[1]}
    </Link>
  );
}

/** What is different from a week ago, as reasons that came and reasons that went. */
function Since({ change }: { change: Schemas['ReasonChange'] }) {
  if (change.fresh.length === 0 && change.gone.length === 0) return null;
  return (
    <div className="mt-4 text-sm">
      <h3 className="font-bold">Since last week</h3>
      <ul>
        {change.fresh.map((r) => (
          <li key={`+${r.text}`}>
            <strong>new</strong> {r.text}
          </li>
        ))}
        {change.gone.map((r) => (
          <li key={`-${r.text}`} className="text-soft">
            <strong>gone</strong> <s>{r.text}</s>
          </li>
        ))}
      </ul>
    </div>
  );
}

function Consequences({ proposal }: { proposal: Schemas['Proposal'] }) {
  if (proposal.stage) {
    return (
      <p className="my-3 max-w-prose">
        Both sides go on there together, at a first dose worked out for that position. What was done here stays in the
        record, and you can undo it until the first session there.
      </p>
    );
  }
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
    <div className="my-3 text-soft">
      The dose stays, at {degrees(dose.angle)}:
      <BlocksInWords blocks={dose.blocks} />
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
