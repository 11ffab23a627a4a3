import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, findingsOf, on, type Schemas } from '../../shared/api/client';
import { degrees, words } from '../../shared/units';
import { useCatalogue } from '../../shared/ui/useCatalogue';
import { Button } from '../../shared/ui/Button';
import { Choice } from '../../shared/ui/Choice';
import { ClientHead } from '../../shared/ui/ClientHead';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';
import { useDebounced } from '../../shared/ui/useDebounced';
import { afterKept, draftOf, firstState, MOST_TRIALS, type BenchState } from './draft';
import { RangeResult } from './RangeResult';
import { WhatToMeasure } from './WhatToMeasure';

export function MeasurePage() {
  const { clientId = '' } = useParams();
  const catalogue = useCatalogue();
  const client = useQuery({
    queryKey: ['client', clientId],
    queryFn: () => ask(api.GET('/api/clients/{id}', { params: { path: { id: clientId } } })),
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

type PartProps = { state: BenchState; set: (part: Partial<BenchState>) => void };

function Place({ state, set, body }: PartProps & { body: Schemas['Body'] }) {
  const positions = body.positions.filter((p) => p.motions.includes(state.motion));
  const select = 'mt-1 block min-h-11 w-full border border-rule bg-card px-2 text-ink';
  const changeMotion = (motion: string) => {
    const fits = body.positions.find((p) => p.id === state.position)?.motions.includes(motion);
    const first = body.positions.find((p) => p.motions.includes(motion))?.id ?? state.position;
    set({ motion, position: fits ? state.position : first });
  };
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
      <Choice
        label="Side"
        value={state.side}
        onChange={(side) => set({ side })}
        options={[
          ['LEFT', 'Left'],
          ['RIGHT', 'Right'],
        ]}
      />
      <Choice
        label="By"
        value={state.mode}
        onChange={(mode) => set({ mode })}
        options={[
          ['PASSIVE', 'Passive'],
          ['ACTIVE', 'Active'],
          ['HANDS_OFF', 'Hands-off'],
        ]}
      />
      <Choice
        label="Before or after work"
        value={state.warmth}
        onChange={(warmth) => set({ warmth })}
        options={[
          ['COLD', 'Cold'],
          ['WARM', 'Warm'],
        ]}
      />
      <label className="text-sm text-soft">
        Motion
        <select className={select} value={state.motion} onChange={(e) => changeMotion(e.target.value)}>
          {body.motions.map((m) => (
            <option key={m.id} value={m.id}>
              {m.name}
            </option>
          ))}
        </select>
      </label>
      <label className="text-sm text-soft">
        Position
        <select className={select} value={state.position} onChange={(e) => set({ position: e.target.value })}>
          {positions.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </select>
      </label>
      <label className="text-sm text-soft">
        Read with
        <select
          className={select}
          value={state.instrument}
          onChange={(e) => set({ instrument: e.target.value as BenchState['instrument'] })}
        >
          <option value="GONIOMETER">goniometer</option>
          <option value="TAPE">tape</option>
          <option value="INCLINOMETER">inclinometer</option>
          <option value="TYPED">angle, no instrument</option>
        </select>
      </label>
    </div>
  );
}

function Reading({ preview, state }: { preview: Schemas['MeasurePreview'] | undefined; state: BenchState }) {
  if (preview?.median === undefined) {
    return (
      <p className="text-soft">
        {state.instrument === 'TAPE' ? 'Type the length that the tape shows' : 'Type the angle of each trial'}; three
        trials are usual. The reading appears here.
      </p>
    );
  }
  return (
    <div aria-live="polite">
      <p className="text-7xl font-bold">
        {degrees(preview.median)}
        {preview.plusMinus !== undefined && (
          <span className="ml-2 text-2xl text-soft">± {preview.plusMinus.toFixed(1)}°</span>
        )}
      </p>
      <p className="text-soft">
        median of {preview.trials.length}, spread {degrees(preview.spread ?? 0)}
        {preview.plusMinus === undefined && ` · reading good to ± ${(2 * preview.sem).toFixed(0)}°`}
      </p>
      {preview.shankFromStature && preview.shankCm !== undefined && (
        <p className="text-sm text-soft">
          Shank {preview.shankCm.toFixed(1)} cm taken from stature: measure it once and the ± shrinks.
        </p>
      )}
      {preview.asksForMore && (
        <p className="font-semibold text-warn">
          ▲ One trial lies more than {degrees(preview.tolerance ?? 5)} from the mean: take another (up to six).
        </p>
      )}
      {preview.usual && (
        <p className="text-sm text-soft">
          usual {degrees(preview.usual.lower)} to {degrees(preview.usual.upper)} ({preview.usual.source})
        </p>
      )}
    </div>
  );
}

function TrialFields({ state, set, findings }: PartProps & { findings: Schemas['Finding'][] }) {
  const tape = state.instrument === 'TAPE';
  const change = (index: number, value: number | null) =>
    set({ trials: state.trials.map((t, i) => (i === index ? value : t)) });
  const nextTrial = (index: number) => {
    if (index + 1 === state.trials.length && index + 1 < MOST_TRIALS) set({ trials: [...state.trials, null] });
    setTimeout(() => document.querySelector<HTMLInputElement>(`input[name="trial-${index + 1}"]`)?.focus());
  };
  const pathOf = (index: number) => {
    const among = state.trials.slice(0, index).filter((t) => t !== null).length;
    return tape ? `tape.lengthsCm[${among}]` : `trials[${among}]`;
  };
  return (
    <div className="grid grid-cols-3 gap-4 sm:grid-cols-6" key={state.id}>
      {tape && (
        <>
          <NumberField
            label="Height at zero"
            unit="cm"
            step={0.5}
            value={state.startCm}
            onChange={(startCm) => set({ startCm })}
            path="tape.startCm"
            findings={findings}
          />
          <NumberField
            label="Shank"
            unit="cm"
            step={0.5}
            value={state.shankCm}
            onChange={(shankCm) => set({ shankCm })}
            path="tape.shankCm"
            findings={findings}
          />
          <span className="hidden sm:col-span-4 sm:block" />
        </>
      )}
      {state.trials.map((value, i) => (
        <NumberField
          key={i}
          label={`Trial ${i + 1}`}
          unit={tape ? 'cm' : '°'}
          step={tape ? 0.5 : 1}
          value={value}
          autoFocus={i === 0}
          onChange={(v) => change(i, v)}
          onEnter={() => nextTrial(i)}
          name={`trial-${i}`}
          path={value === null ? 'none' : pathOf(i)}
          findings={findings}
        />
      ))}
      {state.trials.length < MOST_TRIALS && (
        <Button className="self-end" onClick={() => nextTrial(state.trials.length - 1)}>
          + trial
        </Button>
      )}
    </div>
  );
}

function Feel({ state, set, findings }: PartProps & { findings: Schemas['Finding'][] }) {
  return (
    <div className="mt-4 flex flex-wrap items-end gap-x-5 gap-y-3">
      <Choice
        label="End feel"
        value={state.endFeel}
        onChange={(endFeel) => set({ endFeel })}
        options={[
          ['STRETCH', 'stretch'],
          ['MUSCULAR_EFFORT', 'muscle effort'],
          ['PINCH', 'pinch'],
          ['HARD_BLOCK', 'hard block'],
          ['NOTHING', 'nothing'],
        ]}
      />
      <div className="w-24">
        <NumberField
          label="Pain"
          unit="/10"
          value={state.pain}
          onChange={(pain) => set({ pain })}
          path="pain"
          findings={findings}
        />
      </div>
      {state.mode !== 'PASSIVE' && (
        <Choice
          label="Control"
          value={state.controlGrade === null ? null : String(state.controlGrade)}
          onChange={(g) => set({ controlGrade: Number(g) })}
          options={[
            ['0', 'cannot find it'],
            ['1', 'with cheating'],
            ['2', 'clean, shaking'],
            ['3', 'clean, steady'],
          ]}
        />
      )}
    </div>
  );
}
