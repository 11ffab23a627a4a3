import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ask, findingsOf, newId, type Schemas } from '../../shared/api/client';
import { forgetKept } from '../../shared/offline';
import { daysAgo, timeOf, weekday } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { ClientCautions } from '../../shared/ui/ClientCautions';
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
      <Today plan={plan.data} />
      <Ahead plan={plan.data} />
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
      <h2 className="text-xl font-bold">Any of your sessions</h2>
      {sessions.map((s, i) => (
        <Card
          key={s.id}
          title={s.name}
          lowered={s.lowered.join(' ')}
          words={`${s.lines.join(', ')}, about ${s.minutes} min · ${s.due ? 'due' : `done ${daysAgo(s.lastDone)}`}`}
          main={i === 0 && s.heldBack.length === 0 && !isOpen(plan)}
          action={s.openRun ? 'Go on' : isOpen(plan) ? 'Start this instead' : 'Start'}
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

function todays(plan: Plan) {
  return plan.days.find((d) => d.date === plan.today);
}

/** Whether something is planned today that is not done yet. */
function isOpen(plan: Plan): boolean {
  const day = todays(plan);
  return day !== undefined && !day.over && day.lines.length > 0;
}

/** What the plan wants today, in one press. */
function Today({ plan }: { plan: Plan }) {
  const day = todays(plan);
  if (!day) {
    const next = plan.days[0];
    return plan.days.length === 0 ? null : (
      <p className="text-lg">
        Nothing is planned for today. {next && `Next: ${weekday(next.date)}, ${timeOf(next.start)}.`}
      </p>
    );
  }
  if (day.over) return <p className="text-lg font-semibold">✓ Done for today.</p>;
  return (
    <section className="space-y-3">
      <h2 className="text-xl font-bold">{day.led ? `Today at ${timeOf(day.start)} with your coach` : 'Today'}</h2>
      <Card
        title="Today’s session"
        words={`${day.lines.join(', ')}, about ${day.minutes} min · ${timeOf(day.start)}`}
        main
        action={day.openRun ? 'Go on' : 'Start'}
        disabled={plan.heldBack.length > 0 || day.lines.length === 0}
        open={(id) =>
          ask(
            api.POST('/api/clients/{clientId}/days/{date}/runs', {
              params: { path: { clientId: plan.clientId, date: day.date } },
              body: { id },
            }),
          )
        }
      />
    </section>
  );
}

/** The days after today. */
function Ahead({ plan }: { plan: Plan }) {
  const days = plan.days.filter((d) => d.date > plan.today);
  if (days.length === 0) return null;
  return (
    <section>
      <h2 className="text-xl font-bold">The next days</h2>
      <ul>
        {days.map((d) => (
          <li key={d.date} className="border-t border-rule py-1.5">
            <strong>{weekday(d.date)}</strong>, {timeOf(d.start)}
            {d.led ? ' with your coach' : ''}: {d.lines.join(', ') || 're-test'}, {d.minutes} min
          </li>
        ))}
      </ul>
    </section>
  );
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
