import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, findingsOf, on, type Schemas } from '../../shared/api/client';
import { words } from '../../shared/units';
import { useCatalogue } from '../../shared/ui/useCatalogue';
import { Button } from '../../shared/ui/Button';
import { ClientHead } from '../../shared/ui/ClientHead';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { useDebounced } from '../../shared/ui/useDebounced';
import { Feel, Place, TrialFields } from './BenchFields';
import { afterKept, draftOf, firstState, type BenchState } from './draft';
import { Reading } from './Reading';
import { RangeResult } from './RangeResult';
import { WhatToMeasure } from './WhatToMeasure';

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
        <Bench key={clientId} client={client.data} body={catalogue.data} rows={ranges.data} />
      )}
    </>
  );
}

function useRanges(clientId: string) {
  return useQuery({
    queryKey: ['ranges', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/ranges', { params: { path: { clientId } } })),
  });
}

type BenchProps = { client: Schemas['Client']; body: Schemas['Body']; rows: Schemas['RangeRow'][] };

/** Begins where this client was last measured. */
function startState({ client, rows }: BenchProps): BenchState {
  const last = rows[rows.length - 1];
  const state = firstState(last?.motion ?? 'hip-internal-rotation', last?.position ?? 'prone-knee-bent');
  return {
    ...state,
    instrument: last?.instrument ?? state.instrument,
    shankCm: client.details.shankCm ?? null,
  };
}

function Bench(props: BenchProps) {
  const { client, body, rows } = props;
  const queries = useQueryClient();
  const [state, setState] = useState(() => startState(props));
  const [kept, setKept] = useState<string | null>(null);
  const set = (part: Partial<BenchState>) => setState((s) => ({ ...s, ...part }));
  const position = body.positions.find((p) => p.id === state.position);
  const draft = useDebounced(draftOf(state), 150);
  const typed = draft.trials.length + (draft.tape?.lengthsCm.length ?? 0) > 0;
  const preview = useQuery({
    queryKey: ['preview', client.id, draft],
    enabled: typed,
    placeholderData: keepPreviousData,
    queryFn: () =>
      ask(
        api.POST('/api/clients/{clientId}/measurements/preview', {
          params: { path: { clientId: client.id } },
          body: draft,
        }),
      ),
  });
  const save = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/clients/{clientId}/measurements', {
          params: { path: { clientId: client.id } },
          body: draftOf(state),
        }),
      ),
    onSuccess: async () => {
      setKept(`Kept: ${words(state.side)} ${words(state.mode)} ${words(state.warmth)}.`);
      setState(afterKept(state));
      await queries.invalidateQueries();
    },
  });
  const shown = typed ? preview.data : undefined;
  const findings = [...findingsOf(save.error), ...findingsOf(preview.error), ...(shown?.findings ?? [])];
  const keep = useRef(save.mutate);
  useEffect(() => {
    keep.current = save.mutate;
  });
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.key === 'Enter' && e.ctrlKey) keep.current();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, []);
  const row = rows.find(
    (r) => r.motion === state.motion && r.position === state.position && r.instrument === state.instrument,
  );
  return (
    <div className="grid gap-8 xl:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]">
      <section aria-label="Measuring bench" className="min-w-0">
        <Place state={state} set={set} body={body} />
        <div className="mt-4">
          <TrialFields state={state} set={set} findings={findings} />
        </div>
        <div className="my-3 grid items-center gap-4 sm:grid-cols-2">
          <Reading preview={shown} state={state} />
          {position && (
            <WhatToMeasure
              position={position}
              tape={state.instrument === 'TAPE'}
              degrees={shown?.median ?? 25}
              lengthCm={[...state.trials].reverse().find((t) => t !== null) ?? null}
              startCm={state.startCm}
            />
          )}
        </div>
        <Feel state={state} set={set} findings={findings} />
        <OtherFindings findings={findings} shown={(path) => /trials\[|tape\.|pain|controlGrade/.test(path)} />
        <Failure error={findingsOf(save.error).length > 0 ? null : save.error} />
        <div className="mt-4 flex items-center gap-4">
          <Button look="main" onClick={() => save.mutate()} disabled={!typed || save.isPending}>
            Keep {words(state.side)} {words(state.mode)}
          </Button>
          <span className="text-soft" role="status">
            {kept}
          </span>
        </div>
      </section>
      <section aria-label="Result" className="min-w-0">
        <RangeResult row={row} state={state} />
        {row && on('LEFT', row.sides).passive && on('RIGHT', row.sides).passive && (
          <Link
            to={`/clients/${client.id}/prescribe`}
            className="mt-4 inline-block border border-rule bg-card px-4 py-2 font-semibold hover:bg-tread"
          >
            Go on to prescribe
          </Link>
        )}
      </section>
    </div>
  );
}
