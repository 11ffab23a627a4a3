import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask, findingsOf, newId, type Schemas } from '../../shared/api/client';
import { words } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { ClientHead } from '../../shared/ui/ClientHead';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { useCatalogue, usePositionName } from '../../shared/ui/useCatalogue';
import { useDebounced } from '../../shared/ui/useDebounced';
import { DoseFields, isFieldPath, SharedFields } from './PlanFields';
import { Score } from './Score';
import { TotalsView } from './TotalsView';

type Plan = Schemas['Plan'];
type Instrument = Schemas['NewLine']['instrument'];

export function PrescribePage() {
  const { clientId = '' } = useParams();
  const lines = useQuery({
    queryKey: ['lines', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/lines', { params: { path: { clientId } } })),
  });
  const line = lines.data?.[0];
  return (
    <>
      <ClientHead clientId={clientId} tread="prescribe" />
      <p className="mb-4">
        <Link
          className="inline-flex min-h-11 items-center border border-ink bg-ink px-4 font-semibold text-paper"
          to={`/clients/${clientId}/compose`}
        >
          Compose a whole session
        </Link>
      </p>
      <Failure error={lines.error} />
      {lines.data &&
        (line ? (
          <Editor
            key={line.line.id}
            clientId={clientId}
            lineId={line.line.id}
            isNew={false}
            instrument={line.line.instrument}
            start={line.plan}
          />
        ) : (
          <Suggestion clientId={clientId} />
        ))}
    </>
  );
}

/** A new line begins with what the engine suggests for the range last measured. */
function Suggestion({ clientId }: { clientId: string }) {
  const [lineId] = useState(newId);
  const ranges = useQuery({
    queryKey: ['ranges', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/ranges', { params: { path: { clientId } } })),
  });
  const catalogue = useCatalogue();
  const trains = (position: string) =>
    catalogue.data?.positions.some((p) => p.id === position && p.training !== undefined);
  // The server orders by need: the first that can be trained is the one to begin with.
  const row = ranges.data?.find((r) => trains(r.position) && r.sides.length === 2 && r.sides.every((s) => s.passive));
  const suggestion = useQuery({
    queryKey: ['suggestion', clientId, row?.motion, row?.position, row?.instrument],
    enabled: row !== undefined,
    queryFn: () =>
      ask(
        api.GET('/api/clients/{clientId}/suggestion', {
          params: {
            path: { clientId },
            query: { motion: row?.motion ?? '', position: row?.position ?? '', instrument: row?.instrument ?? 'TYPED' },
          },
        }),
      ),
  });
  if (ranges.data && catalogue.data && !row) {
    return (
      <p className="max-w-prose text-lg">
        A plan begins at the range that is there.{' '}
        <Link className="font-semibold underline" to={`/clients/${clientId}/measure`}>
          Measure both sides
        </Link>{' '}
        first, passive and cold.
      </p>
    );
  }
  const plan = suggestion.data?.plan;
  return (
    <>
      <Failure error={ranges.error ?? suggestion.error} />
      {plan && row && <Editor clientId={clientId} lineId={lineId} isNew instrument={row.instrument} start={plan} />}
    </>
  );
}

type EditorProps = { clientId: string; lineId: string; isNew: boolean; instrument: Instrument; start: Plan };

function Editor({ clientId, lineId, isNew, instrument, start }: EditorProps) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [plan, setPlan] = useState(start);
  const rested = useDebounced(plan, 120);
  const positionName = usePositionName(plan.position);
  const preview = useQuery({
    queryKey: ['plan-preview', clientId, lineId, rested],
    placeholderData: keepPreviousData,
    queryFn: () =>
      ask(
        api.POST('/api/clients/{clientId}/plans/preview', {
          params: { path: { clientId } },
          body: { lineId: isNew ? undefined : lineId, instrument, plan: rested },
        }),
      ),
  });
  const save = useMutation({
    mutationFn: () =>
      isNew
        ? ask(
            api.POST('/api/clients/{clientId}/lines', {
              params: { path: { clientId } },
              body: { id: lineId, instrument, plan },
            }),
          )
        : ask(api.PUT('/api/lines/{lineId}/plan', { params: { path: { lineId } }, body: plan })),
    onSuccess: async () => {
      await queries.invalidateQueries();
      if (isNew) await navigate(`/clients/${clientId}/perform`);
    },
  });
  const findings = [...(preview.data?.findings ?? []), ...findingsOf(preview.error)].map((f) => ({
    ...f,
    path: f.path.replace(/^plan\./, ''),
  }));
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
  const changed = isNew || JSON.stringify(plan) !== JSON.stringify(start);
  const blocked = findings.some((f) => f.severity === 'BLOCKING');
  return (
    <div>
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h2 className="text-xl font-bold">
          {words(plan.motion)} <span className="font-normal text-soft">· {positionName} · ramp both ways</span>
        </h2>
        <div className="flex items-center gap-3">
          {save.isSuccess && !changed && <span role="status">Kept.</span>}
          <Button look="main" disabled={!changed || blocked || save.isPending} onClick={() => save.mutate()}>
            {isNew ? 'Start with this plan' : 'Keep the plan'}
          </Button>
        </div>
      </div>
      {isNew && (
        <p className="mt-1 text-soft">
          Suggested: a newcomer&apos;s dose just short of today&apos;s passive range, the worse side first. Change what
          you like.
        </p>
      )}
      {preview.data?.totals && <TotalsView totals={preview.data.totals} perWeek={plan.sessionsPerWeek} />}
      {preview.data?.timeline && <Score timeline={preview.data.timeline} firstSide={plan.firstSide} />}
      <OtherFindings findings={findings} shown={isFieldPath} />
      <Failure error={findingsOf(preview.error).length > 0 ? null : preview.error} />
      <Failure error={save.error} />
      <div className="mt-4 grid gap-8 lg:grid-cols-2">
        <DoseFields plan={plan} setPlan={setPlan} findings={findings} props={preview.data?.props} />
        <SharedFields plan={plan} setPlan={setPlan} findings={findings} />
      </div>
    </div>
  );
}
