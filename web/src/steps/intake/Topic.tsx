import { useEffect } from 'react';
import type { Finding } from '../../shared/api/client';
import { jointName } from '../../shared/restrictions';
import { Button } from '../../shared/ui/Button';
import { DateField } from '../../shared/ui/DateField';
import { FieldFinding } from '../../shared/ui/Findings';
import { isTyping } from '../../shared/ui/keys';
import { NumberField } from '../../shared/ui/NumberField';
import { Ticks } from '../../shared/ui/Ticks';
import { useCatalogue } from '../../shared/ui/useCatalogue';
import { isAsked, type Answers, type Question } from './screen';

export type StepProps = { a: Answers; set: (part: Partial<Answers>) => void; findings: Finding[] };

type Props = StepProps & { name: string; questions: Question[]; last?: Record<string, boolean>; next: () => void };

/** One topic: y and n answer the question that is next; after the last one the conversation goes on. */
export function Topic({ name, questions, a, set, findings, last, next }: Props) {
  const asked = questions.filter((q) => isAsked(q, a.answers));
  const current = asked.find((q) => a.answers[q.id] === undefined)?.id;
  const answer = (id: string, yes: boolean) => set({ answers: { ...a.answers, [id]: yes } });
  const noToTheRest = () => {
    const rest = asked.filter((q) => a.answers[q.id] === undefined).map((q) => [q.id, false]);
    set({ answers: { ...a.answers, ...(Object.fromEntries(rest) as Record<string, boolean>) } });
    next();
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event) || event.ctrlKey || event.metaKey) return;
      if (current && (event.key === 'y' || event.key === 'n')) answer(current, event.key === 'y');
      else if (current && event.key === 'a') noToTheRest();
      else if (event.key === 'Enter' && !current && !(event.target instanceof HTMLButtonElement)) next();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  });
  return (
    <div>
      <h2 className="mb-3 text-2xl font-bold">{name}</h2>
      <ul className="divide-y divide-rule">
        {asked.map((q) => (
          <li key={q.id} className={`py-3 ${q.id === current ? 'bg-card px-3' : ''}`}>
            <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-2 sm:flex-nowrap">
              <p className={q.id === current ? 'text-xl font-semibold' : 'text-lg'}>
                {q.question} {q.help && <span className="block text-sm font-normal text-soft">{q.help}</span>}
                {last?.[q.id] && <span className="block text-sm font-normal text-soft">Last time: yes</span>}
              </p>
              <YesNo value={a.answers[q.id]} onChange={(yes) => answer(q.id, yes)} question={q.question} />
            </div>
            <More id={q.id} a={a} set={set} findings={findings} />
            <FieldFinding findings={a.answers[q.id] === undefined ? [] : findings} path={`answers.${q.id}`} />
          </li>
        ))}
      </ul>
      {name === 'Heart and circulation' && <Pressure a={a} set={set} findings={findings} />}
      {current && (
        <Button className="mt-3" onClick={noToTheRest}>
          {asked.length === 1 ? 'No, go on' : asked[0]?.id === current ? 'No to all of these' : 'No to the rest'}
        </Button>
      )}
      <p className="mt-3 text-sm text-soft">
        y yes · n no{current ? ' · a no to all that is open' : ' · Enter goes on'}
      </p>
    </div>
  );
}

type YesNoProps = { value: boolean | undefined; onChange: (yes: boolean) => void; question: string };

function YesNo({ value, onChange, question }: YesNoProps) {
  const look = (on: boolean) =>
    `min-h-12 min-w-20 border px-5 text-lg ${on ? 'border-ink bg-ink font-semibold text-paper' : 'border-rule bg-card hover:bg-tread'}`;
  return (
    <div role="group" aria-label={question} className="flex shrink-0 gap-1">
      <button
        type="button"
        className={look(value === true)}
        aria-pressed={value === true}
        onClick={() => onChange(true)}
      >
        Yes
      </button>
      <button
        type="button"
        className={look(value === false)}
        aria-pressed={value === false}
        onClick={() => onChange(false)}
      >
        No
      </button>
    </div>
  );
}

/** What a yes asks for besides. */
function More({ id, a, set, findings }: StepProps & { id: string }) {
  const catalogue = useCatalogue();
  if (!a.answers[id]) return null;
  if (id === 'birth') {
    return (
      <div className="mt-2 w-56">
        <DateField
          label="When"
          value={a.birthOn}
          onChange={(birthOn) => set({ birthOn })}
          path="birthOn"
          findings={findings}
        />
      </div>
    );
  }
  if (id !== 'flare') return null;
  const joints = [...new Set(catalogue.data?.motions.map((m) => m.joint) ?? [])];
  return (
    <div className="mt-2">
      <Ticks
        label="Where; none ticked means everywhere"
        options={joints.map((j) => [j, jointName(j)] as const)}
        value={a.flareJoints}
        onChange={(flareJoints) => set({ flareJoints })}
      />
    </div>
  );
}

function Pressure({ a, set, findings }: StepProps) {
  const bp = a.bloodPressure;
  const change = (part: Partial<NonNullable<Answers['bloodPressure']>>) => {
    const next = { systolic: bp?.systolic ?? 0, diastolic: bp?.diastolic ?? 0, ...bp, ...part };
    set({ bloodPressure: next.systolic === 0 && next.diastolic === 0 ? undefined : next });
  };
  return (
    <fieldset className="mt-5">
      <legend className="mb-1 font-semibold">Last blood pressure at rest, if known</legend>
      <div className="grid max-w-lg grid-cols-3 gap-5">
        <NumberField
          label="Upper value"
          unit="mmHg"
          value={bp?.systolic || null}
          onChange={(v) => change({ systolic: v ?? 0 })}
          path="bloodPressure.systolic"
          findings={findings}
        />
        <NumberField
          label="Lower value"
          unit="mmHg"
          value={bp?.diastolic || null}
          onChange={(v) => change({ diastolic: v ?? 0 })}
          path="bloodPressure.diastolic"
          findings={findings}
        />
        <DateField
          label="Measured on"
          value={bp?.measuredOn}
          onChange={(measuredOn) => bp && change({ measuredOn })}
          path="bloodPressure.measuredOn"
          findings={findings}
        />
      </div>
    </fieldset>
  );
}
