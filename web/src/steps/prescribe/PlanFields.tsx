import { on, SIDES, withSide, type Finding, type Schemas, type Side } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Choice } from '../../shared/ui/Choice';
import { DoseInputs } from '../../shared/ui/DoseInputs';
import { FieldFinding } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';
import { degrees } from '../../shared/units';

type Plan = Schemas['Plan'];
type Props = { plan: Plan; setPlan: (plan: Plan) => void; findings: Finding[] };

const SHARED: [
  (
    | 'rotationsEachWay'
    | 'secondsPerCircle'
    | 'pullSeconds'
    | 'settleSeconds'
    | 'setUpSeconds'
    | 'sideChangeSeconds'
    | 'sessionsPerWeek'
  ),
  string,
  string,
][] = [
  ['rotationsEachWay', 'Rotations each way', '×'],
  ['secondsPerCircle', 'a circle', 's'],
  ['pullSeconds', 'Pull', 's'],
  ['settleSeconds', 'Settle', 's'],
  ['setUpSeconds', 'Set-up', 's'],
  ['sideChangeSeconds', 'Side change', 's'],
  ['sessionsPerWeek', 'Sessions a week', '×'],
];

/** Findings of these places stand beside their fields. */
export function isFieldPath(path: string): boolean {
  return /^(doses\.|press\.steps|unequalReason)/.test(path) || SHARED.some(([key]) => key === path);
}

type DoseProps = Props & { props: Schemas['PlanPreview']['props'] | undefined };

/** Each side's own dose, left and right beside each other. */
export function DoseFields({ plan, setPlan, findings, props }: DoseProps) {
  return (
    <section>
      <h3 className="mb-2 text-lg font-bold">Dose</h3>
      <div className="grid grid-cols-2 gap-x-8">
        {SIDES.map((side) => (
          <fieldset key={side} className="space-y-3">
            <legend className="mb-1 font-semibold">
              {side === 'LEFT' ? 'Left' : 'Right'}
              {plan.firstSide === side && <span className="ml-2 text-sm font-normal text-soft">goes first</span>}
            </legend>
            <DoseInputs
              side={side}
              dose={on(side, plan.doses)}
              setDose={(dose) => setPlan({ ...plan, doses: withSide(side, plan.doses, dose) })}
              findings={findings}
            />
            <PropLine setUp={props && on(side, props)} />
          </fieldset>
        ))}
      </div>
      <div className="mt-4 flex flex-wrap items-end gap-3">
        <Choice
          label="First side"
          value={plan.firstSide}
          onChange={(firstSide) => setPlan({ ...plan, firstSide })}
          options={[
            ['LEFT', 'Left'],
            ['RIGHT', 'Right'],
          ]}
        />
        <Button onClick={() => setPlan({ ...plan, doses: mirrored(plan) })}>
          Copy {plan.firstSide === 'LEFT' ? 'left' : 'right'} to the other side
        </Button>
      </div>
      <label className="mt-3 block text-sm text-soft">
        Why the sides differ, if they do
        <input
          className="block w-full border-b-2 border-rule bg-transparent py-1 text-base text-ink outline-none focus:border-ink"
          value={plan.unequalReason}
          onChange={(e) => setPlan({ ...plan, unequalReason: e.target.value })}
        />
      </label>
      <FieldFinding findings={findings} path="unequalReason" />
    </section>
  );
}

/** The other side does the same work, at its own angle. */
function mirrored(plan: Plan): Plan['doses'] {
  const other: Side = plan.firstSide === 'LEFT' ? 'RIGHT' : 'LEFT';
  const dose = { ...on(plan.firstSide, plan.doses), angle: on(other, plan.doses).angle };
  return withSide(other, plan.doses, dose);
}

function PropLine({ setUp }: { setUp: Schemas['SetUp'] | undefined }) {
  if (!setUp) return null;
  return (
    <p className="text-sm">
      {setUp.stackCm === undefined ? (
        <>Strap or hand at {degrees(setUp.reachedDegrees)}.</>
      ) : (
        <>
          Stack <strong>{setUp.stackCm} cm</strong> under the foot: reaches {degrees(setUp.reachedDegrees)}.
        </>
      )}
    </p>
  );
}

/** What both sides share. */
export function SharedFields({ plan, setPlan, findings }: Props) {
  const steps = plan.press.steps;
  const setStep = (index: number, part: Partial<Schemas['EffortStep']>) =>
    setPlan({ ...plan, press: { steps: steps.map((s, i) => (i === index ? { ...s, ...part } : s)) } });
  return (
    <section>
      <h3 className="mb-2 text-lg font-bold">Both sides</h3>
      <div className="grid grid-cols-2 gap-x-8 gap-y-3 sm:grid-cols-3">
        {SHARED.map(([key, label, unit]) => (
          <NumberField
            key={key}
            label={label}
            unit={unit}
            step={unit === 's' && key !== 'secondsPerCircle' ? 5 : 1}
            value={plan[key]}
            onChange={(v) => setPlan({ ...plan, [key]: v ?? 0 })}
            path={key}
            findings={findings}
          />
        ))}
      </div>
      <h4 className="mt-5 mb-1 font-semibold text-press">Press ramp, cut at each side&apos;s ceiling</h4>
      <div className="grid grid-cols-[repeat(auto-fill,minmax(7.5rem,1fr))] gap-4">
        {steps.map((step, i) => (
          <div key={i} className="border-t-4 border-press-fill pt-1">
            <NumberField
              label={`Step ${i + 1}`}
              unit="%"
              step={5}
              value={step.effort}
              onChange={(v) => setStep(i, { effort: v ?? 0 })}
              path={`press.steps[${i}].effort`}
              findings={findings}
            />
            <NumberField
              label="for"
              unit="s"
              value={step.seconds}
              onChange={(v) => setStep(i, { seconds: v ?? 0 })}
              path={`press.steps[${i}].seconds`}
              findings={findings}
            />
          </div>
        ))}
      </div>
      <div className="mt-3 flex gap-3">
        <Button
          disabled={steps.length >= 12}
          onClick={() => {
            const last = steps[steps.length - 1];
            const next = { effort: Math.min(100, (last?.effort ?? 0) + 10), seconds: last?.seconds ?? 5 };
            setPlan({ ...plan, press: { steps: [...steps, next] } });
          }}
        >
          + step
        </Button>
        <Button disabled={steps.length <= 1} onClick={() => setPlan({ ...plan, press: { steps: steps.slice(0, -1) } })}>
          − step
        </Button>
      </div>
    </section>
  );
}
