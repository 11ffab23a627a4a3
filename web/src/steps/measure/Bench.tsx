import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { api, ask, findingsOf, type Schemas } from '../../shared/api/client';
import { words } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { useDebounced } from '../../shared/ui/useDebounced';
import { Feel, TapeFields } from './BenchFields';
import { draftOf, MOST_TRIALS, readTrials, type BenchState, type Body, type Draft } from './draft';
import { Inclinometer } from './Inclinometer';
import { PropFor } from './PropFor';
import { Reading } from './Reading';
import { TrialFields } from './TrialFields';
import { WhatToMeasure } from './WhatToMeasure';

type Props = {
  clientId: string;
  body: Body;
  state: BenchState;
  setState: (change: (s: BenchState) => BenchState) => void;
  onSaved: (state: BenchState) => void;
  place: (set: (part: Partial<BenchState>) => void, findings: Schemas['Finding'][]) => ReactNode;
};

const SHOWN = /trials\[|tape\.|pain|controlGrade|incline\.|instrument/;

/** One measurement: what to measure, the trials, the reading, the end feel. Enter in the last trial keeps it. */
export function Bench({ clientId, body, state, setState, onSaved, place }: Props) {
  const queries = useQueryClient();
  const [kept, setKept] = useState<string | null>(null);
  const set = (part: Partial<BenchState>) => setState((s) => ({ ...s, ...part }));
  const path = { params: { path: { clientId } } };
  const previewOf = (draft: Draft) =>
    ask(api.POST('/api/clients/{clientId}/measurements/preview', { ...path, body: draft }));
  const draft = useDebounced(draftOf(state), 150);
  const typed = readTrials(state).length > 0;
  const preview = useQuery({
    queryKey: ['preview', clientId, draft],
    enabled: draft.trials.length + (draft.tape?.lengthsCm.length ?? 0) > 0,
    queryFn: () => previewOf(draft),
    placeholderData: (before) => before,
  });
  const save = useMutation({
    mutationFn: (s: BenchState) => ask(api.POST('/api/clients/{clientId}/measurements', { ...path, body: draftOf(s) })),
    onSuccess: (_, s) => {
      setKept(`Saved: ${words(s.side)} ${words(s.mode)} ${words(s.warmth)}.`);
      onSaved(s);
      // Nobody waits for them: whoever types on at once would find the next Enter ignored.
      for (const key of ['ranges', 'history', 'day', 'assessment']) {
        void queries.invalidateQueries({ queryKey: [key] });
      }
    },
  });
  // Asks for one more trial first when they lie apart; Enter in the empty one keeps it as it is.
  const enter = useMutation({
    mutationFn: async (s: BenchState) => {
      const open = s.trials.at(-1) === '';
      const answer = open ? null : await previewOf(draftOf(s));
      if (answer?.asksForMore && s.trials.length < MOST_TRIALS && s.trials.filter((t) => t !== '').length >= 2) {
        set({ trials: [...s.trials, ''] });
      } else {
        await save.mutateAsync(s);
      }
    },
  });
  const shown = typed ? preview.data : undefined;
  const findings = [...findingsOf(save.error), ...findingsOf(preview.error), ...(shown?.findings ?? [])];
  const position = body.positions.find((p) => p.id === state.position);
  const keep = () => typed && !save.isPending && !enter.isPending && enter.mutate(state);
  return (
    <section
      aria-label="Measuring bench"
      className="min-w-0"
      onKeyDown={(e) => e.key === 'Enter' && e.ctrlKey && save.mutate(state)}
    >
      {place(set, findings)}
      <div className="mt-2" key={state.id}>
        <TapeFields state={state} set={set} body={body} findings={findings} />
        {state.instrument === 'INCLINOMETER' && (
          <Inclinometer take={(value) => setState((s) => taken(s, value))} expected={shown?.median ?? 40} />
        )}
        <TrialFields
          state={state}
          set={set}
          findings={findings}
          onEnter={keep}
          asksForMore={shown?.asksForMore ?? false}
        />
      </div>
      <div className="my-2 grid items-center gap-4 sm:grid-cols-2">
        <Reading preview={shown} state={state} />
        {position && (
          <WhatToMeasure
            clientId={clientId}
            position={position}
            state={state}
            landmarks={body.motions.find((m) => m.id === state.motion)?.landmarks ?? ''}
            preview={shown}
          />
        )}
      </div>
      <Feel state={state} set={set} findings={findings} />
      <OtherFindings findings={findings} shown={(p) => SHOWN.test(p)} />
      <Failure error={findingsOf(save.error).length > 0 ? null : save.error} />
      <div className="mt-4 flex flex-wrap items-center gap-4">
        <Button look="main" onClick={() => save.mutate(state)} disabled={!typed || save.isPending}>
          Save {state.side === 'MIDLINE' ? '' : `${words(state.side)} `}
          {words(state.mode)}
        </Button>
        <span className="text-soft" role="status">
          {kept}
        </span>
      </div>
      {state.instrument === 'TAPE' && position?.tape && <PropFor clientId={clientId} state={state} />}
      <p className="mt-3 text-sm text-soft">
        Keys in a trial: Enter next and save · s stretch · m muscle · p pinch · h hard block · n nothing · + − pain · c
        control · w warm
      </p>
    </section>
  );
}

/** A reading of the device goes into the first empty trial. */
function taken(state: BenchState, value: number): BenchState {
  const text = String(Number(value.toFixed(1)));
  const at = state.trials.indexOf('');
  const trials = at >= 0 ? state.trials.map((t, i) => (i === at ? text : t)) : [...state.trials, text];
  return { ...state, trials: trials.slice(0, MOST_TRIALS) };
}
