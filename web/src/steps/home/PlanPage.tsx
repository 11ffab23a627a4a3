import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ask, findingsOf, newId, type Schemas } from '../../shared/api/client';
import { forgetKept } from '../../shared/offline';
import { daysAgo, words } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { ClientCautions } from '../../shared/ui/ClientHead';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { MorningCard } from '../../shared/ui/MorningCard';
import { NoteBox } from './NoteBox';
import { usePlan } from './usePlan';
import { WhatIsOff } from './WhatIsOff';

type Plan = Schemas['HomePlan'];

/** What there is to do today, in plain words; the first thing to do stands first. */
export function PlanPage() {
  const plan = usePlan();
  if (!plan.data) return <Failure error={plan.error} />;
  return (
    <main className="mx-auto max-w-xl space-y-6 px-4 py-5">
      <h1 className="text-3xl font-bold">Hello {plan.data.name}</h1>
      <ClientCautions clientId={plan.data.clientId} />
      {plan.data.heldBack.map((why) => (
        <p key={why} role="alert" className="border-l-4 border-warn bg-warn-paper p-4 text-lg text-warn">
          <span className="font-bold">▲ No training now.</span> {why} Speak to your coach.
        </p>
      ))}
      {plan.data.mornings.map((m) => (
        <MorningCard key={m.runId} {...m} title="How is it?" of={m.title} />
      ))}
      <Sessions plan={plan.data} />
      <Tapes plan={plan.data} />
      <NoteBox notes={plan.data.notes} />
      <WhatIsOff />
      <Button onClick={leave}>Leave on this device</Button>
      <p className="text-sm text-soft">Gradino does not diagnose or treat. In doubt stop, and ask who treats you.</p>
    </main>
  );
}

/** From a phone that is somebody else's. */
function leave() {
  void ask(api.POST('/api/home/leave'))
    .then(forgetKept)
    .finally(() => location.reload());
}

function Sessions({ plan }: { plan: Plan }) {
  const sessions = [...plan.sessions].sort((a, b) => urgency(b) - urgency(a));
  if (sessions.length === 0) {
    return <p className="text-lg">Your coach has set nothing for home yet.</p>;
  }
  return (
    <section className="space-y-3">
      <h2 className="text-xl font-bold">{today(plan)}</h2>
      {sessions.map((s, i) => (
        <Card
          key={s.id}
          title={s.name}
          lowered={s.lowered.join(' ')}
          words={`${s.lines.join(', ')}, about ${s.minutes} min · ${s.due ? 'due' : `done ${daysAgo(s.lastDone)}`}`}
          main={i === 0 && s.heldBack.length === 0}
          action={s.openRun ? 'Go on' : 'Start'}
          disabled={s.heldBack.length > 0}
          open={(id) =>
            ask(
              api.POST('/api/clients/{clientId}/sessions/{sessionId}/runs', {
                params: { path: { clientId: plan.clientId, sessionId: s.id } },
                body: { id },
              }),
            )
          }
        />
      ))}
    </section>
  );
}

function urgency(session: Schemas['HomeSession']): number {
  return session.openRun ? 2 : session.due ? 1 : 0;
}

function today(plan: Plan): string {
  if (plan.trainingDay) return 'Today is a training day';
  return plan.days.length > 0 ? `Not a training day: yours are ${plan.days.map(words).join(', ')}` : 'Your training';
}

type CardProps = {
  title: string;
  words: string;
  lowered?: string;
  main: boolean;
  action: string;
  disabled: boolean;
  open: (id: string) => Promise<Schemas['Floor']>;
};

function Card({ title, words: said, lowered, main, action, disabled, open }: CardProps) {
  const navigate = useNavigate();
  const [id] = useState(newId);
  const start = useMutation({
    mutationFn: () => open(id),
    onSuccess: (floor) => navigate(`/runs/${floor.id}`),
  });
  return (
    <article className="border border-rule bg-card p-4">
      <h3 className="text-2xl font-bold first-letter:uppercase">{title}</h3>
      <p className="mb-3 text-soft">{said}</p>
      <p className="text-lg">{lowered}</p>
      <Button
        look={main ? 'main' : 'plain'}
        className="min-h-14 w-full text-xl"
        disabled={disabled || start.isPending}
        onClick={() => start.mutate()}
      >
        {action}
      </Button>
      <Failure error={findingsOf(start.error).length > 0 ? null : start.error} />
      <OtherFindings findings={findingsOf(start.error)} shown={() => false} />
    </article>
  );
}

/** Measured at home with a tape, cold: before training. */
function Tapes({ plan }: { plan: Plan }) {
  if (plan.tapes.length === 0) return null;
  return (
    <section>
      <h2 className="mb-1 text-xl font-bold">Measure yourself</h2>
      <p className="mb-2 text-soft">With a tape, before training.</p>
      {plan.tapes.map((t) => (
        <Link
          key={t.motion + t.position.id}
          className="mb-2 block min-h-12 border border-rule bg-card px-4 py-3 font-semibold first-letter:uppercase hover:bg-tread"
          to={`/measure/${t.motion}?position=${t.position.id}`}
        >
          {t.position.name}
        </Link>
      ))}
    </section>
  );
}
