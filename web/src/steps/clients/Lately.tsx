import { Link } from 'react-router';
import type { Schemas } from '../../shared/api/client';
import { counted, day, words } from '../../shared/units';

type Overview = Schemas['Overview'];
type Mark = Overview['attendance']['days'][number]['mark'];

const MARKS: Record<Mark, string> = {
  DONE: 'done',
  PARTLY: 'partly done',
  MOVED: 'moved to another day',
  MISSED: 'missed',
  EXTRA: 'done without a plan',
  PLANNED: 'planned',
  PAUSED: 'paused',
};

const DAY_MS = 86_400_000;
const CELL = 20;
/** Room for the day's letter. */
const LABEL = 18;
const DAYS = ['M', 'T', 'W', 'T', 'F', 'S', 'S'];

/** What was planned, done and felt in the last weeks. */
export function Lately({ overview: { attendance, pains, stopSigns, weeks } }: { overview: Overview }) {
  const { planned, done, missed, moved, extra } = attendance;
  const worst = [...pains].sort((a, b) => b.score - a.score)[0];
  return (
    <section>
      <h2 className="mb-1 text-xl font-bold">The last {weeks} weeks</h2>
      {attendance.days.length === 0 ? (
        <p className="text-soft">Nothing was planned or done.</p>
      ) : (
        <>
          <Strip days={attendance.days} weeks={weeks} />
          <ul className="mb-1 flex flex-wrap gap-x-4 text-xs text-soft" aria-hidden>
            {[...new Set(attendance.days.map((d) => d.mark))].map((mark) => (
              <li key={mark} className="flex items-center gap-1.5">
                <span className={`inline-block size-3 border border-ink ${LOOKS[mark]}`} />
                {MARKS[mark]}
              </li>
            ))}
          </ul>
          <p className="text-sm">
            {planned > 0 ? `${done} of ${counted(planned, 'planned day')} done` : ''}
            {moved > 0 && `, ${moved} moved`}
            {missed > 0 && `, ${missed} missed`}
            {extra > 0 && `${planned > 0 ? ', ' : ''}${extra} done without a plan`}.
          </p>
        </>
      )}
      <h3 className="mt-3 font-semibold">Pain and stop signs</h3>
      {worst ? (
        <p className="text-sm">
          Pain on {counted(new Set(pains.map((p) => p.date)).size, 'day')}, {worst.score} of 10 at worst:{' '}
          {words(worst.motion)}
          {worst.side === 'MIDLINE' ? '' : `, ${words(worst.side)}`}, on {day(`${worst.date}T12:00:00`)}.
        </p>
      ) : (
        <p className="text-sm text-soft">No pain was reported.</p>
      )}
      {stopSigns.length > 0 && (
        <p className="text-sm font-semibold text-warn">
          ▲ {counted(stopSigns.length, 'stop sign')}, the last on {day(stopSigns.at(-1) ?? '')}.
        </p>
      )}
      <p className="mt-2 text-sm">
        <Link className="underline" to="report">
          The report
        </Link>{' '}
        says more.
      </p>
    </section>
  );
}

/** One column a week, Monday on top. */
function Strip({ days, weeks }: { days: Overview['attendance']['days']; weeks: number }) {
  const monday = new Date();
  monday.setHours(12, 0, 0, 0);
  monday.setDate(monday.getDate() - ((monday.getDay() + 6) % 7) - weeks * 7);
  const width = (weeks + 1) * CELL + LABEL;
  return (
    <ul
      className="relative mb-1"
      style={{ height: 7 * CELL, width }}
      aria-label="Days of the last weeks, a column for each week"
    >
      {DAYS.map((letter, i) => (
        <li key={i} aria-hidden className="absolute left-0 text-xs text-soft" style={{ top: i * CELL }}>
          {letter}
        </li>
      ))}
      {days.map(({ date, mark }) => {
        const n = Math.round((new Date(`${date}T12:00:00`).getTime() - monday.getTime()) / DAY_MS);
        if (n < 0) return null;
        const said = `${day(`${date}T12:00:00`)}: ${MARKS[mark]}`;
        return (
          <li
            key={date}
            title={said}
            className={`absolute size-4 border border-ink ${LOOKS[mark]}`}
            style={{ left: LABEL + Math.floor(n / 7) * CELL, top: (n % 7) * CELL }}
          >
            <span className="sr-only">{said}</span>
          </li>
        );
      })}
    </ul>
  );
}

/** Told by fill, not by colour. */
const LOOKS: Record<Mark, string> = {
  DONE: 'bg-ink',
  PARTLY: 'bg-linear-to-t from-ink from-50% to-transparent to-50%',
  MOVED: 'rounded-full',
  MISSED: 'border-2 border-warn',
  EXTRA: 'rounded-full bg-ink',
  PLANNED: 'border-rule',
  PAUSED: 'border-dashed',
};
