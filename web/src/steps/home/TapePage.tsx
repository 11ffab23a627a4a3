import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { api, ask, findingsOf, newId, SIDES, type Schemas, type Side } from '../../shared/api/client';
import { TapeFigure } from '../../shared/draw/TapeFigure';
import { degrees } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';
import { Scale } from '../../shared/ui/Scale';
import { usePlan } from './usePlan';

type Tape = Schemas['HomeTape'];
type Lengths = Record<string, number | null>;

/** Measured by oneself with a tape: a drawing of what to measure, one number a side. */
export function TapePage() {
  const { motion = '' } = useParams();
  const [query] = useSearchParams();
  const plan = usePlan();
  const tape = plan.data?.tapes.find((t) => t.motion === motion && t.position.id === query.get('position'));
  if (!plan.data) return <Failure error={plan.error} />;
  return (
    <main className="mx-auto max-w-xl space-y-5 px-4 py-5">
      <Link className="underline" to="/">
        Back
      </Link>
      {tape ? <Measure clientId={plan.data.clientId} tape={tape} /> : <p>There is nothing to measure here.</p>}
    </main>
  );
}

function Measure({ clientId, tape }: { clientId: string; tape: Tape }) {
  const [body, setBody] = useState<Lengths>({});
  return (
    <>
      <h1 className="text-2xl font-bold first-letter:uppercase">{tape.position.name}</h1>
      <p>Cold, before you train. Stop at pain.</p>
      {tape.needed.map((n) => (
        <NumberField
          key={n.segment}
          label={`Once: ${n.words}`}
          unit="cm"
          value={body[n.segment] ?? null}
          onChange={(v) => setBody({ ...body, [n.segment]: v })}
        />
      ))}
      {SIDES.map((side) => (
        <OneSide key={side} side={side} clientId={clientId} tape={tape} body={body} />
      ))}
    </>
  );
}

type SideProps = { side: Side; clientId: string; tape: Tape; body: Lengths };

function OneSide({ side, clientId, tape, body }: SideProps) {
  const queries = useQueryClient();
  const [id] = useState(newId);
  const [length, setLength] = useState<number | null>(null);
  const [start, setStart] = useState<number | null>(null);
  const [pain, setPain] = useState<number | null>(null);
  const draft: Schemas['MeasurementDraft'] = {
    id,
    motion: tape.motion,
    position: tape.position.id,
    instrument: 'TAPE',
    tester: 'CLIENT',
    side,
    mode: 'PASSIVE',
    warmth: 'COLD',
    trials: [],
    tape: {
      lengthsCm: length === null ? [] : [length],
      startCm: start ?? 0,
      body: Object.fromEntries(Object.entries(body).filter(([, v]) => v !== null)) as Record<string, number>,
    },
    pain: pain ?? 0,
    note: 'at home',
  };
  const path = { params: { path: { clientId } } };
  const preview = useQuery({
    queryKey: ['home-tape', draft],
    enabled: length !== null,
    retry: false,
    queryFn: () => ask(api.POST('/api/clients/{clientId}/measurements/preview', { ...path, body: draft })),
  });
  const keep = useMutation({
    mutationFn: () => ask(api.POST('/api/clients/{clientId}/measurements', { ...path, body: draft })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['home-plan'] }),
  });
  const angle = preview.data?.median;
  const findings = [...findingsOf(keep.error), ...(preview.data?.findings ?? [])];
  return (
    <section className="border-t-[5px] border-ink pt-2">
      <h2 className="text-xl font-bold">{side === 'LEFT' ? 'Left' : 'Right'}</h2>
      <TapeFigure
        degrees={angle ?? 30}
        tape
        lengthCm={length}
        startCm={start}
        lengths={Object.fromEntries(Object.entries(body).map(([k, v]) => [k, v ?? undefined]))}
        position={tape.position}
      />
      <div className="mt-2 flex flex-wrap items-end gap-4">
        {tape.hasStart && (
          <div className="w-32">
            <NumberField label="Tape at the start" unit="cm" value={start} onChange={setStart} />
          </div>
        )}
        <div className="w-32">
          <NumberField label="Tape now" unit="cm" value={length} onChange={setLength} />
        </div>
        {angle !== undefined && <p className="pb-1 text-3xl font-bold">{degrees(angle)}</p>}
      </div>
      <p className="mt-3 text-sm text-soft">Did it hurt? 0 is not at all.</p>
      <Scale label={`Pain, ${side === 'LEFT' ? 'left' : 'right'}`} value={pain} onChange={setPain} />
      <OtherFindings findings={length === null ? [] : findings} shown={() => false} />
      <Failure error={findingsOf(keep.error).length > 0 ? null : keep.error} />
      {keep.isSuccess ? (
        <p role="status" className="mt-2 font-semibold">
          Saved. Your coach sees it.
        </p>
      ) : (
        <Button
          className="mt-2 min-h-12 w-full"
          look="main"
          disabled={angle === undefined || pain === null || keep.isPending}
          onClick={() => keep.mutate()}
        >
          Save
        </Button>
      )}
    </section>
  );
}
