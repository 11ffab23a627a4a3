import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api, ask, findingsOf, newId, type Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { ClientHead } from '../../shared/ui/ClientHead';
import { Failure } from '../../shared/ui/Findings';
import { useDebounced } from '../../shared/ui/useDebounced';
import { BeightonStep } from './BeightonStep';
import { JointEvents } from './JointEvents';
import { isAsked, EMPTY, topicsOf, whole, type Answers } from './screen';
import { Summary } from './Summary';
import { Topic } from './Topic';

export function ScreeningPage() {
  const { clientId = '' } = useParams();
  const questions = useQuery({
    queryKey: ['screening'],
    staleTime: Infinity,
    queryFn: () => ask(api.GET('/api/screening')),
  });
  const client = useQuery({
    queryKey: ['client', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}', { params: { path: { clientId } } })),
  });
  const last = useQuery({
    queryKey: ['last-screening', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/screening', { params: { path: { clientId } } })),
  });
  return (
    <>
      <ClientHead clientId={clientId} tread="meet" />
      <Failure error={questions.error ?? client.error ?? last.error} />
      {questions.data && client.data && last.data && (
        <Conversation client={client.data} asked={questions.data} last={last.data.screening?.answers} key={clientId} />
      )}
    </>
  );
}

type Props = { client: Schemas['ClientFile']; asked: Schemas['Questions']; last?: Record<string, boolean> };

/** Topic by topic; what it leads to stands beside it all the time. */
function Conversation({ client, asked, last }: Props) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [id] = useState(newId);
  const [step, setStep] = useState(0);
  const [a, setA] = useState<Answers>(EMPTY);
  const set = (part: Partial<Answers>) => setA((old) => ({ ...old, ...part }));
  const topics = topicsOf(asked.questions);
  const typed = useDebounced(whole(a, asked.questions), 200);
  const path = { params: { path: { clientId: client.id } } };
  const preview = useQuery({
    queryKey: ['screening-preview', client.id, typed],
    placeholderData: (before) => before,
    queryFn: () => ask(api.POST('/api/clients/{clientId}/screening/preview', { ...path, body: typed })),
  });
  const save = useMutation({
    mutationFn: () =>
      ask(api.POST('/api/clients/{clientId}/screening', { ...path, body: { id, answers: whole(a, asked.questions) } })),
    onSuccess: async () => {
      await queries.invalidateQueries();
      await navigate(`/clients/${client.id}`);
    },
  });
  const names = [...topics.map(([topic]) => topic), 'Joints', 'Hypermobility', 'What follows'];
  const open = (n: number) =>
    (topics[n]?.[1] ?? []).some((q) => isAsked(q, a.answers) && a.answers[q.id] === undefined);
  const next = () => setStep((s) => Math.min(names.length - 1, s + 1));
  const findings = [...findingsOf(save.error), ...(preview.data?.findings ?? [])];
  const topic = topics[step];
  return (
    <div className="grid gap-8 lg:grid-cols-[1.4fr_1fr]">
      <section aria-label="Screening">
        <ol className="mb-5 flex flex-wrap gap-1 text-sm" aria-label="Topics">
          {names.map((name, n) => (
            <li key={name}>
              <button
                className={`border-b-4 px-2 py-1 ${n === step ? 'border-ink font-semibold' : 'border-rule text-soft hover:text-ink'}`}
                aria-current={n === step ? 'step' : undefined}
                onClick={() => setStep(n)}
              >
                {name}
                {n < topics.length && !open(n) && <span aria-label="answered"> ✓</span>}
              </button>
            </li>
          ))}
        </ol>
        {topic && (
          <Topic
            key={topic[0]}
            name={topic[0]}
            questions={topic[1]}
            a={a}
            set={set}
            findings={findings}
            last={last}
            next={next}
          />
        )}
        {step === topics.length && <JointEvents a={a} set={set} findings={findings} />}
        {step === topics.length + 1 && <BeightonStep items={asked.beighton} a={a} set={set} />}
        {step === topics.length + 2 && (
          <Summary a={a} set={set} client={client} questions={asked.questions} findings={findings} go={setStep} />
        )}
        <Failure error={findingsOf(save.error).length > 0 ? null : save.error} />
        <div className="mt-6 flex gap-3">
          {step > 0 && <Button onClick={() => setStep(step - 1)}>Back</Button>}
          {step < names.length - 1 ? (
            <Button look="main" onClick={next}>
              Go on to {names[step + 1]?.toLowerCase()}
            </Button>
          ) : (
            <Button look="main" disabled={save.isPending} onClick={() => save.mutate()}>
              Save these answers
            </Button>
          )}
        </div>
      </section>
      <Follows restrictions={preview.data?.restrictions ?? []} />
    </div>
  );
}

function Follows({ restrictions }: { restrictions: Schemas['Restriction'][] }) {
  return (
    <aside aria-label="What follows" aria-live="polite" className="border-l border-rule pl-6">
      <h2 className="mb-2 text-xl font-bold">What follows so far</h2>
      {restrictions.length === 0 && <p className="text-soft">Nothing so far.</p>}
      <ul className="space-y-2">
        {restrictions.map((r) => (
          <li key={r.id} className="border-l-4 border-warn pl-3">
            {r.reason} <span className="block text-sm text-soft">{r.source.text}</span>
          </li>
        ))}
      </ul>
    </aside>
  );
}
