import { capital } from '../../shared/units';
import type { Finding } from '../../shared/api/client';
import { Choice } from '../../shared/ui/Choice';
import { FieldFinding } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';
import { INSTRUMENTS } from '../../shared/instruments';
import { TextField } from '../../shared/ui/TextField';
import { withMotion, withPosition, type BenchState, type Body } from './draft';

export type PartProps = { state: BenchState; set: (part: Partial<BenchState>) => void; findings: Finding[] };

const SELECT = 'mt-1 block min-h-11 w-full border border-rule bg-card px-2 text-ink';

/** Which motion, where and with what. */
export function Place({ state, set, body, findings }: PartProps & { body: Body }) {
  const positions = body.positions.filter((p) => p.motions.includes(state.motion));
  const tape = positions.find((p) => p.id === state.position)?.tape;
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
      <SideAndMode state={state} set={set} findings={findings} />
      <label className="min-w-0 grow basis-36 text-sm text-soft">
        Motion
        <select className={SELECT} value={state.motion} onChange={(e) => set(withMotion(state, e.target.value, body))}>
          {body.motions.map((m) => (
            <option key={m.id} value={m.id}>
              {m.name}
            </option>
          ))}
        </select>
      </label>
      <label className="min-w-0 grow basis-48 text-sm text-soft">
        Position
        <select
          className={SELECT}
          value={state.position}
          onChange={(e) => set(withPosition(state, e.target.value, body))}
        >
          {positions.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </select>
      </label>
      <label className="min-w-0 basis-32 text-sm text-soft">
        Read with
        <select
          className={SELECT}
          value={state.instrument}
          onChange={(e) => set({ instrument: e.target.value as BenchState['instrument'] })}
        >
          {INSTRUMENTS.filter(([id]) => id !== 'TAPE' || tape).map(([id, name]) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        <FieldFinding findings={findings} path="instrument" />
      </label>
    </div>
  );
}

export function SideAndMode({ state, set }: PartProps) {
  return (
    <>
      {state.side === 'MIDLINE' ? (
        <p className="self-center text-soft">No sides: the middle</p>
      ) : (
        <Choice
          label="Side"
          value={state.side}
          onChange={(side) => set({ side })}
          options={[
            ['LEFT', 'Left'],
            ['RIGHT', 'Right'],
          ]}
        />
      )}
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
    </>
  );
}

/** The lengths that the position's tape formula asks for. */
export function TapeFields({ state, set, body, findings }: PartProps & { body: Body }) {
  const formula = body.positions.find((p) => p.id === state.position)?.tape;
  const need = body.tapes.find((t) => t.formula === formula);
  if (state.instrument !== 'TAPE' || !need) return null;
  return (
    <div className="mb-3 grid grid-cols-2 items-end gap-4 sm:grid-cols-3">
      {need.start && (
        <NumberField
          label="Reading at the zero"
          unit="cm"
          step={0.5}
          value={state.startCm}
          onChange={(startCm) => set({ startCm })}
          path="tape.startCm"
          findings={findings}
        />
      )}
      {need.lengths.map((l) => (
        <NumberField
          key={l.segment}
          label={capital(l.words)}
          unit="cm"
          step={0.5}
          value={state.body[l.segment] ?? null}
          onChange={(v) => set({ body: { ...state.body, [l.segment]: v ?? undefined } })}
          path={`tape.body.${l.segment}`}
          findings={findings}
        />
      ))}
      {need.lengths.length > 0 && <p className="text-sm text-soft">Lengths left open are taken from the file.</p>}
    </div>
  );
}

/** What the end was like. */
export function Feel({ state, set, findings }: PartProps) {
  return (
    <div className="mt-4 space-y-3">
      <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
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
        <label className="text-sm text-soft">
          By whom
          <select
            className="mt-1 block min-h-11 border border-rule bg-card px-2 text-ink"
            value={state.tester}
            onChange={(e) => set({ tester: e.target.value as BenchState['tester'] })}
          >
            <option value="COACH">coach</option>
            <option value="ASSISTANT">assistant</option>
            <option value="CLIENT">client</option>
          </select>
        </label>
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
      <Incline state={state} set={set} findings={findings} />
    </div>
  );
}

/** A bench's incline is recorded beside the angle; a line is fitted for this client and bench. */
function Incline({ state, set, findings }: PartProps) {
  const { incline } = state;
  if (!incline) {
    return (
      <button
        type="button"
        className="text-sm text-soft underline hover:text-ink"
        onClick={() => set({ incline: { bench: '', degrees: null } })}
      >
        On a bench with an incline
      </button>
    );
  }
  return (
    <div className="flex flex-wrap items-end gap-4">
      <div className="w-48">
        <TextField
          label="Which bench"
          value={incline.bench}
          onChange={(bench) => set({ incline: { ...incline, bench } })}
          path="incline.bench"
          findings={findings}
        />
      </div>
      <div className="w-32">
        <NumberField
          label="Its incline"
          unit="°"
          value={incline.degrees}
          onChange={(degrees) => set({ incline: { ...incline, degrees } })}
          path="incline.degrees"
          findings={findings}
        />
      </div>
      <button type="button" className="min-h-11 text-sm underline" onClick={() => set({ incline: null })}>
        No bench
      </button>
    </div>
  );
}
