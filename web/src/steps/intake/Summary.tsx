import type { Schemas } from '../../shared/api/client';
import { DateField } from '../../shared/ui/DateField';
import { OtherFindings } from '../../shared/ui/Findings';
import { TextField } from '../../shared/ui/TextField';
import { isAsked, topicsOf, type Question } from './screen';
import type { StepProps } from './Topic';

type Props = StepProps & { client: Schemas['ClientFile']; questions: Question[]; go: (step: number) => void };

/** Everything said, once more, and what is still open. */
export function Summary({ a, set, client, questions, findings, go }: Props) {
  const topics = topicsOf(questions);
  const yes = questions.filter((q) => a.answers[q.id]);
  const open = questions.filter((q) => isAsked(q, a.answers) && a.answers[q.id] === undefined);
  return (
    <div className="space-y-5">
      <h2 className="text-2xl font-bold">What follows</h2>
      {open.length > 0 && (
        <div className="border-l-4 border-warn pl-4">
          <p className="font-semibold text-warn">▲ Still to ask:</p>
          <ul>
            {open.map((q) => (
              <li key={q.id}>
                <button className="underline" onClick={() => go(topics.findIndex(([t]) => t === q.topic))}>
                  {q.question}
                </button>
              </li>
            ))}
          </ul>
        </div>
      )}
      <div>
        <p className="text-soft">Answered with yes:</p>
        {yes.length === 0 ? <p>nothing</p> : null}
        <ul className="list-disc pl-5">
          {yes.map((q) => (
            <li key={q.id}>{q.question}</li>
          ))}
        </ul>
      </div>
      {isMinor(client) && (
        <fieldset>
          <legend className="mb-1 font-semibold">Under 18: who agreed?</legend>
          <div className="grid grid-cols-2 gap-4">
            <TextField
              label="Guardian's name"
              value={a.guardian?.name ?? ''}
              onChange={(name) => set({ guardian: name ? { name, on: a.guardian?.on ?? today() } : undefined })}
              path="guardian.name"
              findings={findings}
            />
            <DateField
              label="On"
              value={a.guardian?.on}
              onChange={(on) => a.guardian && set({ guardian: { ...a.guardian, on: on ?? today() } })}
              path="guardian.on"
              findings={findings}
            />
          </div>
        </fieldset>
      )}
      <TextField label="Note" value={a.note} onChange={(note) => set({ note })} />
      <OtherFindings findings={findings} shown={(p) => /^answers\.|guardian/.test(p)} />
      <p className="text-sm text-soft">
        Gradino supports a coach. It does not diagnose or treat; licensed practice and local rules come first. The
        answers hold for twelve months, or until a stop sign comes up.
      </p>
    </div>
  );
}

function today(): string {
  return new Date().toLocaleDateString('sv');
}

/** Only to show the field: the rule itself is the server's. */
function isMinor(client: Schemas['ClientFile']): boolean {
  const born = client.details.birthDate;
  return born !== undefined && client.restrictions.some((r) => r.id.startsWith('under-18'));
}
