import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, on, type Schemas, type Side } from '../../shared/api/client';
import { words } from '../../shared/units';
import { Choice } from '../../shared/ui/Choice';
import { ClientHead, useClientDay } from '../../shared/ui/ClientHead';
import { Failure } from '../../shared/ui/Findings';
import { isTyping } from '../../shared/ui/keys';
import { FlightView } from './FlightView';
import { LoadOfWeeks } from './LoadOfWeeks';
import { Kept } from './Kept';
import { ProposalView } from './ProposalView';

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
      <FlightView lineId={proposals.line.id} side={side} />
      <LoadOfWeeks clientId={clientId} />
      <Kept lineId={proposals.line.id} />
    </>
  );
}
