import type { Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Choice } from '../../shared/ui/Choice';
import { NumberField } from '../../shared/ui/NumberField';
import { MOST_TRIALS, type BenchState } from './draft';

type PartProps = { state: BenchState; set: (part: Partial<BenchState>) => void };

export function Place({ state, set, body }: PartProps & { body: Schemas['Body'] }) {
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

export function TrialFields({ state, set, findings }: PartProps & { findings: Schemas['Finding'][] }) {
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

export function Feel({ state, set, findings }: PartProps & { findings: Schemas['Finding'][] }) {
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
