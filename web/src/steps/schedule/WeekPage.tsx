import { useQueryClient } from '@tanstack/react-query';
import { addDays } from 'date-fns';
import { useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { ButtonLink } from '../../shared/ui/ButtonLink';
import { ClientHead } from '../../shared/ui/ClientHead';
import { Failure } from '../../shared/ui/Findings';
import { BlockStrip } from './BlockStrip';
import { DayColumn } from './DayColumn';
import { LeftOut } from './LeftOut';
import { MoveSheet, NOWHERE, type Held } from './MoveSheet';
import { iso, local, mondayOf, shortDate, weeksOn, type WeekView } from './days';
import { targetsOf, useChange, useWeek } from './useWeek';

type Target = Schemas['Target'];

/** A client's week: what is done on which day, what does not fit and why, and what moved. */
export function WeekPage() {
  const { clientId = '', monday = mondayOf(new Date()) } = useParams();
  return (
    <>
      <ClientHead clientId={clientId} />
      <Week key={monday} clientId={clientId} monday={monday} />
    </>
  );
}

function Week({ clientId, monday }: { clientId: string; monday: string }) {
  const week = useWeek(clientId, monday);
  const to = (weeks: number) => `/clients/${clientId}/week/${weeksOn(monday, weeks)}`;
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h2 className="mr-auto text-2xl font-bold">
          Week of {shortDate(monday)} to {shortDate(lastDay(monday))}
        </h2>
        <ButtonLink to={to(-1)}>Week before</ButtonLink>
        <ButtonLink to={to(1)}>Week after</ButtonLink>
      </div>
      {week.data && <Planned week={week.data} clientId={clientId} />}
      {week.isPending && <p className="text-soft">Planning…</p>}
      {week.error && <NoPlan error={week.error} clientId={clientId} />}
    </>
  );
}

function lastDay(monday: string): string {
  return iso(addDays(local(monday), 6));
}

function NoPlan({ error, clientId }: { error: Error; clientId: string }) {
  if (!('status' in error) || error.status !== 404) return <Failure error={error} />;
  return (
    <p className="max-w-prose text-lg">
      Nothing is planned for this week. Weeks are planned from today on to the end of the block, as soon as there is a
      line:{' '}
      <Link className="underline" to={`/clients/${clientId}/prescribe`}>
        Prescribe
      </Link>
      , or set a block of weeks in the{' '}
      <Link className="underline" to={`/clients/${clientId}/calendar`}>
        Calendar
      </Link>
      .
    </p>
  );
}

function Planned({ week, clientId }: { week: WeekView; clientId: string }) {
  const { held, setHeld, targets, take, drop, change } = useMoves(week, clientId);
  const [asked, setAsked] = useState<Held | null>(null);
  const addable = week.days.every((d) => d.over) ? [] : week.units.filter((u) => u.lines.length > 0);
  return (
    <>
      {week.block && <BlockStrip block={week.block} monday={week.monday} clientId={clientId} />}
      <div className="grid gap-2 md:grid-cols-7 md:items-stretch md:gap-1">
        {week.days.map((day, n) => (
          <DayColumn
            key={day.date}
            clientId={clientId}
            number={n}
            day={day}
            week={week}
            target={held && held.from !== n ? targets?.[n] : undefined}
            held={held !== null}
            take={(unit) => take({ unit, from: n })}
            leave={() => setHeld(null)}
            drop={() => void drop(n, setAsked)}
            ask={(unit, to) => setAsked({ unit, from: n, to })}
          />
        ))}
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <p className="grow text-sm text-soft">
          Drag to another day, or choose one and press Enter. {week.proved ? '' : 'Good, not proved to be the best.'}
        </p>
        {addable.length > 0 && <span className="text-sm text-soft">Add:</span>}
        {addable.map((u) => (
          <Button key={u.id} className="text-sm" onClick={() => setAsked({ unit: u.id, from: NOWHERE })}>
            + {u.name}
          </Button>
        ))}
        {week.undo && <Button onClick={() => change.mutate({ kind: 'undo' })}>Undo</Button>}
      </div>
      <Failure error={asked ? null : change.error} />
      <LeftOut
        week={week}
        clientId={clientId}
        take={(way) => change.mutate({ kind: 'way', way })}
        busy={change.isPending}
      />
      <EverySecondWeek week={week} weekly={(line) => change.mutate({ kind: 'weekly', line })} busy={change.isPending} />
      <News week={week} />
      {asked && (
        <MoveSheet
          key={asked.unit + String(asked.from)}
          clientId={clientId}
          week={week}
          held={asked}
          close={() => {
            setAsked(null);
            change.reset();
          }}
          change={change}
        />
      )}
    </>
  );
}

/** What is dragged, and what each day would break. */
function useMoves(week: WeekView, clientId: string) {
  const queries = useQueryClient();
  const change = useChange(clientId, week.monday);
  const [held, setHeld] = useState<Held | null>(null);
  const [targets, setTargets] = useState<Target[]>();
  const asked = useRef<Promise<Target[] | undefined>>(undefined);
  const take = (what: Held) => {
    setHeld(what);
    setTargets(undefined);
    asked.current = queries.fetchQuery(targetsOf(clientId, week.monday, what.unit, what.from)).catch(() => undefined);
    void asked.current.then(setTargets);
  };
  const drop = async (to: number, askFor: (held: Held) => void) => {
    const what = held;
    setHeld(null);
    if (!what || what.from === to) return;
    const known = await asked.current;
    if (known?.[to]?.broken.length === 0) {
      change.mutate({ kind: 'move', move: { unit: what.unit, from: what.from, to, reason: '' } });
    } else {
      askFor({ ...what, to });
    }
  };
  return { held, setHeld, targets, take, drop, change };
}

/** Lines that rest every second week, until somebody wants them weekly again. */
function EverySecondWeek({ week, weekly, busy }: { week: WeekView; weekly: (line: string) => void; busy: boolean }) {
  const rare = week.units.flatMap((u) => u.lines).filter((l) => l.everySecondWeek);
  if (rare.length === 0) return null;
  return (
    <section className="mt-5" aria-label="Every second week">
      <h3 className="mb-1 text-lg font-bold">Every second week only</h3>
      <ul>
        {rare.map((l) => (
          <li key={l.id} className="flex flex-wrap items-center gap-3 border-t border-rule py-1">
            <span className="inline-block first-letter:uppercase">{l.name}</span>
            <span className="text-sm text-soft">{l.wanted === 0 ? 'not this week' : 'this week'}</span>
            <Button disabled={busy} onClick={() => weekly(l.id)}>
              Every week again
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function News({ week }: { week: WeekView }) {
  const news = [...week.news].reverse();
  const { planned, done, extra } = week.adherence;
  return (
    <section className="mt-6 grid gap-6 md:grid-cols-[2fr_1fr]">
      <div>
        <h3 className="mb-1 text-lg font-bold">What moved, and why</h3>
        {news.length === 0 && <p className="text-soft">Nothing moved since this week was planned.</p>}
        <ul>
          {news.map((n) => (
            <li key={n.at} className="border-t border-rule py-1.5">
              <span className="text-soft">
                {new Date(n.at).toLocaleString(undefined, {
                  weekday: 'short',
                  hour: '2-digit',
                  minute: '2-digit',
                })}{' '}
              </span>
              {n.why.join(' ')} {n.moved.length > 0 ? <strong>{n.moved.join('. ')}.</strong> : null}
            </li>
          ))}
        </ul>
      </div>
      <div>
        <h3 className="mb-1 text-lg font-bold">Last four weeks</h3>
        {planned === 0 ? (
          <p className="text-soft">Nothing was planned yet.</p>
        ) : (
          <p>
            <strong className="text-3xl">
              {done} of {planned}
            </strong>{' '}
            planned lines done{extra > 0 ? `, ${extra} more beside the plan` : ''}.
          </p>
        )}
      </div>
    </section>
  );
}
