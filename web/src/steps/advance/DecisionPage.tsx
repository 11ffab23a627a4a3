import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, on, type Schemas, type Side } from '../../shared/api/client';
import { sideWords } from '../../shared/sides';
import { words } from '../../shared/units';
import { Choice } from '../../shared/ui/Choice';
import { useClientDay } from '../../shared/ui/ClientCautions';
import { ClientHead } from '../../shared/ui/ClientHead';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { isTyping } from '../../shared/ui/keys';
import { FlightView } from './FlightView';
import { LoadOfWeeks } from './LoadOfWeeks';
import { DecisionList } from './DecisionList';
import { ProposalView } from './ProposalView';
import { StageRow } from './StageRow';

export function DecisionPage() {
  const { clientId = '' } = useParams();
  const dayState = useClientDay(clientId);
  const [picked, pick] = useState<string | null>(null);
  const lines = dayState.data?.lines ?? [];
  const lineId = picked ?? lines[0]?.lineId;
  const trouble = lines.find((l) => l.lineId === lineId)?.trouble;
  const proposals = useQuery({
    queryKey: ['proposals', lineId],
    enabled: lineId !== undefined && !trouble,
    queryFn: () => ask(api.GET('/api/lines/{lineId}/proposals', { params: { path: { lineId: lineId ?? '' } } })),
  });
  return (
    <>
      <ClientHead clientId={clientId} tread="advance" />
      <Failure error={proposals.error} />
      {lines.length > 1 && <Lines lines={lines} chosen={lineId} choose={pick} />}
      {dayState.data && !lineId && (
        <p className="text-lg">
          Nothing to judge yet: there is no plan.{' '}
          <Link className="font-semibold underline" to={`/clients/${clientId}/prescribe`}>
            Prescribe
          </Link>{' '}
          first.
        </p>
      )}
      {trouble && <OtherFindings findings={[trouble]} shown={() => false} />}
      {proposals.data && !trouble && <Decisions key={lineId} proposals={proposals.data} clientId={clientId} />}
    </>
  );
}

function title(side: string, waits: boolean): string {
  return `${side[0]?.toUpperCase()}${side.slice(1)}${waits ? ', waits' : ''}`;
}

type LinesProps = {
  lines: Schemas['LineDay'][];
  chosen: string | undefined;
  choose: (lineId: string) => void;
};

/** Which of the client's lines is looked at; what waits stands first. */
function Lines({ lines, chosen, choose }: LinesProps) {
  return (
    <ul className="mb-5 flex flex-wrap gap-2" aria-label="Lines">
      {lines.map((l) => (
        <li key={l.lineId}>
          <button
            aria-pressed={l.lineId === chosen}
            onClick={() => choose(l.lineId)}
            className="min-h-11 border-b-4 border-rule bg-card px-3 py-1.5 text-left aria-pressed:border-ink"
          >
            <span className="font-semibold">{words(l.motion)}</span>
            <span className="block text-xs text-soft">
              {l.session ? `in “${l.session}”` : 'in no session'}
              {l.waiting > 0 ? `, ${l.waiting} to decide` : ''}
              {l.trouble ? ', cannot be judged' : ''}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}

function Decisions({ proposals, clientId }: { proposals: Schemas['Proposals']; clientId: string }) {
  const { trained, sides } = proposals;
  const waiting = trained.find((side) => on(side, sides).waits) ?? trained[0] ?? 'LEFT';
  const [picked, setPicked] = useState<Side | null>(null);
  const side = picked ?? waiting;
  const order = proposals.plan.sides;
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (isTyping(e) || trained.length < 2) return;
      if (e.key === 'ArrowLeft') setPicked('LEFT');
      if (e.key === 'ArrowRight') setPicked('RIGHT');
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [trained.length]);
  const judged = on(side, sides);
  return (
    <>
      <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <Choice
          label={words(proposals.line.motion)}
          value={side}
          onChange={setPicked}
          options={trained.map((one) => [one, title(sideWords(one, order), on(one, sides).waits)])}
        />
        <p className="text-soft">This line then takes {proposals.minutes} min.</p>
      </div>
      <ProposalView
        key={side + JSON.stringify(judged.proposal.to) + judged.proposal.verdict}
        judged={judged}
        lineId={proposals.line.id}
        clientId={clientId}
        onDecided={() => setPicked(null)}
      />
      <p className="my-4">
        <Link className="font-semibold underline" to={`/rules/why?line=${proposals.line.id}`}>
          Why? This line, fact by fact
        </Link>
      </p>
      <FlightView lineId={proposals.line.id} side={side} title={sideWords(side, order)} />
      <StageRow motion={proposals.line.motion} position={proposals.line.position} />
      <LoadOfWeeks clientId={clientId} />
      <DecisionList lineId={proposals.line.id} />
    </>
  );
}
