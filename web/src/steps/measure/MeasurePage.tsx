import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { api, ask, type Schemas } from '../../shared/api/client';
import { useCatalogue } from '../../shared/ui/useCatalogue';
import { ClientHead } from '../../shared/ui/ClientHead';
import { ButtonLink } from '../../shared/ui/ButtonLink';
import { Failure } from '../../shared/ui/Findings';
import { Bench } from './Bench';
import { Place } from './BenchFields';
import { afterKept, stateOf, withMotion, type BenchState, type Body, type Item } from './draft';
import { RangeResult } from './RangeResult';
import { useRanges } from './useRanges';

export function MeasurePage() {
  const { clientId = '' } = useParams();
  const catalogue = useCatalogue();
  const client = useQuery({
    queryKey: ['client', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}', { params: { path: { clientId } } })),
  });
  const ranges = useRanges(clientId);
  return (
    <>
      <ClientHead clientId={clientId} tread="measure" />
      <Failure error={catalogue.error ?? client.error ?? ranges.error} />
      {catalogue.data && client.data && ranges.data && (
        <FreeBench key={clientId} client={client.data} body={catalogue.data} rows={ranges.data} />
      )}
    </>
  );
}

type Props = { client: Schemas['ClientFile']; body: Body; rows: Schemas['RangeRow'][] };

/** Begins where the address says, else where this client was last measured. */
function startState(params: URLSearchParams, { client, body, rows }: Props): BenchState {
  const last = [...rows].sort((a, b) => b.lastMeasured.localeCompare(a.lastMeasured))[0];
  const item: Item = {
    motion: params.get('motion') ?? last?.motion ?? client.details.goals[0]?.motion ?? 'hip-internal-rotation',
    position: params.get('position') ?? last?.position ?? 'prone-knee-bent',
    instrument: (params.get('instrument') ?? last?.instrument ?? 'GONIOMETER') as Item['instrument'],
    side: (params.get('side') ?? 'LEFT') as Item['side'],
    mode: (params.get('mode') ?? 'PASSIVE') as Item['mode'],
    warmth: 'COLD',
  };
  return withMotion(stateOf(item), item.motion, body);
}

function FreeBench(props: Props) {
  const { client, body, rows } = props;
  const [params] = useSearchParams();
  const [state, setState] = useState(() => startState(params, props));
  const row = rows.find(
    (r) => r.motion === state.motion && r.position === state.position && r.instrument === state.instrument,
  );
  const measured = row?.sides.every((s) => s.passive) ?? false;
  const trains = body.positions.find((p) => p.id === state.position)?.training !== undefined;
  return (
    <div className="grid gap-8 xl:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]">
      <Bench
        clientId={client.id}
        body={body}
        state={state}
        setState={setState}
        onSaved={(s) => setState(afterKept(s))}
        place={(set, findings) => <Place state={state} set={set} body={body} findings={findings} />}
      />
      <section aria-label="Result" className="min-w-0">
        <RangeResult row={row} state={state} clientId={client.id} />
        <div className="mt-4 flex flex-wrap gap-3">
          <ButtonLink to={`/clients/${client.id}/measure`}>Range map</ButtonLink>
          {row && measured && trains && (
            <ButtonLink to={`/clients/${client.id}/prescribe`}>Go on to prescribe</ButtonLink>
          )}
        </div>
      </section>
    </div>
  );
}
