import { jointName } from '../../shared/restrictions';
import { Button } from '../../shared/ui/Button';
import { Choice } from '../../shared/ui/Choice';
import { DateField } from '../../shared/ui/DateField';
import { FieldFinding } from '../../shared/ui/Findings';
import { TextField } from '../../shared/ui/TextField';
import { useCatalogue } from '../../shared/ui/useCatalogue';
import type { Answers } from './screen';
import type { StepProps } from './Topic';

type Event = Answers['events'][number];

const KINDS: [Event['kind'], string][] = [
  ['STRAIN', 'strained it in the last days'],
  ['FRACTURE', 'broke it'],
  ['DISLOCATION', 'put it out of joint'],
  ['OPERATION', 'had it operated on'],
  ['REPLACEMENT', 'had it replaced'],
];

const SELECT = 'mt-1 block min-h-11 w-full border border-rule bg-card px-2 text-ink';

/** What happened to single joints: each blocks its joint until it is cleared or over. */
export function JointEvents({ a, set, findings }: StepProps) {
  const catalogue = useCatalogue();
  const joints = [...new Set(catalogue.data?.motions.map((m) => m.joint) ?? [])];
  const change = (i: number, part: Partial<Event>) =>
    set({ events: a.events.map((e, j) => (j === i ? { ...e, ...part } : e)) });
  return (
    <div>
      <h2 className="mb-1 text-2xl font-bold">Joints</h2>
      <p className="mb-4">
        Has a joint ever been replaced, operated on, broken or put out, or strained in the last three days?
      </p>
      <ul className="space-y-5">
        {a.events.map((event, i) => (
          <li key={i} className="space-y-3 border-l-4 border-rule pl-4">
            <div className="grid gap-4 sm:grid-cols-2">
              <label className="text-sm text-soft">
                What
                <select
                  className={SELECT}
                  value={event.kind}
                  onChange={(e) => change(i, { kind: e.target.value as Event['kind'] })}
                >
                  {KINDS.map(([k, text]) => (
                    <option key={k} value={k}>
                      {text}
                    </option>
                  ))}
                </select>
              </label>
              <label className="text-sm text-soft">
                Which joint
                <select className={SELECT} value={event.joint} onChange={(e) => change(i, { joint: e.target.value })}>
                  {joints.map((j) => (
                    <option key={j} value={j}>
                      {jointName(j)}
                    </option>
                  ))}
                </select>
                <FieldFinding findings={findings} path={`events[${i}].joint`} />
              </label>
            </div>
            <div className="flex flex-wrap items-end gap-5">
              <Choice
                label="Side"
                value={event.side ?? 'BOTH'}
                onChange={(side) => change(i, { side: side === 'BOTH' ? undefined : side })}
                options={[
                  ['LEFT', 'Left'],
                  ['RIGHT', 'Right'],
                  ['BOTH', 'Both, or the middle'],
                ]}
              />
              <DateField
                label="When"
                value={event.on || undefined}
                onChange={(on) => on && change(i, { on })}
                path={`events[${i}].on`}
                findings={findings}
              />
              <Button onClick={() => set({ events: a.events.filter((_, j) => j !== i) })}>Remove</Button>
            </div>
            <TextField
              label="Limits given by the surgeon, in words"
              value={event.limits}
              onChange={(limits) => change(i, { limits })}
            />
          </li>
        ))}
      </ul>
      <Button
        className="mt-4"
        onClick={() =>
          set({
            events: [
              ...a.events,
              { kind: 'OPERATION', joint: joints[0] ?? 'hip', on: new Date().toLocaleDateString('sv'), limits: '' },
            ],
          })
        }
      >
        {a.events.length === 0 ? 'Yes, add one' : 'And another'}
      </Button>
    </div>
  );
}
