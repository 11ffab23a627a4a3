import type { KeyboardEvent } from 'react';
import type { Schemas } from '../../shared/api/client';
import { timeOf } from '../../shared/units';
import { BeginAssessment } from '../../shared/ui/BeginAssessment';
import { minutes, placeName, shortDate, DAY_NAMES, type DayView, type WeekView } from './days';

const RISE_PX = 6;
/** The battery in the plan of the last week. */
const RETEST = 're-test';

type Props = {
  clientId: string;
  number: number;
  day: DayView;
  week: WeekView;
  target: Schemas['Target'] | undefined;
  held: boolean;
  take: (unit: string) => void;
  leave: () => void;
  drop: () => void;
  ask: (unit: string, to: number) => void;
};

/** A day as a tread: the week climbs from left to right. */
export function DayColumn({ clientId, number, day, week, target, held, take, leave, drop, ask }: Props) {
  const today = day.date === week.today;
  const free = held && target?.broken.length === 0;
  return (
    <section
      aria-label={DAY_NAMES[number]}
      style={{ ['--rise' as string]: `${(6 - number) * RISE_PX}px` }}
      className={`flex flex-col border-t-[5px] border-r border-r-rule px-2 pt-2 pb-3 md:mt-(--rise) md:min-h-44 ${
        today ? 'border-t-ink bg-card' : day.over ? 'border-t-rule bg-tread text-soft' : 'border-t-rule bg-card'
      } ${free ? 'outline-2 outline-ink' : ''}`}
      onDragOver={(e) => held && e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        drop();
      }}
    >
      <h3 className="flex items-baseline justify-between gap-2">
        <span className="font-bold">{today ? 'Today' : DAY_NAMES[number]}</span>
        <span className="text-sm text-soft">{shortDate(day.date)}</span>
      </h3>
      <p className="mb-2 text-sm text-soft">{facts(day)}</p>
      <Filled day={day} />
      {held && target && target.broken.length > 0 && (
        <ul className="mb-2 text-sm font-semibold text-warn">
          {target.broken.map((b) => (
            <li key={b}>▲ {b}</li>
          ))}
        </ul>
      )}
      <ul className="space-y-1.5">
        {day.units.map((id) => (
          <Unit
            key={id}
            unit={week.units.find((u) => u.id === id)}
            number={number}
            take={take}
            leave={leave}
            ask={ask}
          />
        ))}
        {day.date === week.today && !day.over && day.units.includes(RETEST) && week.block?.batteryId && (
          <li>
            <BeginAssessment clientId={clientId} batteryId={week.block.batteryId} words="Open the battery" />
          </li>
        )}
        {day.outcomes.map((o) => (
          <li key={o.name} className="text-sm">
            <span aria-hidden>{GLYPHS[o.outcome]} </span>
            <strong>{OUTCOMES[o.outcome]}</strong>: {o.name}
          </li>
        ))}
      </ul>
    </section>
  );
}

const GLYPHS: Record<Schemas['LineOutcome']['outcome'], string> = {
  DONE: '✓',
  MOVED: '→',
  MISSED: '–',
  EXTRA: '+',
  PLANNED: '·',
};

const OUTCOMES: Record<Schemas['LineOutcome']['outcome'], string> = {
  DONE: 'done',
  MOVED: 'done another day',
  MISSED: 'missed',
  EXTRA: 'done beside the plan',
  PLANNED: 'planned',
};

function facts(day: DayView): string {
  if (day.minutes === 0) return day.note || 'no time';
  const place = day.led ? 'appointment' : placeName(day.place).toLowerCase();
  return [timeOf(day.start), place, day.note].filter(Boolean).join(' · ');
}

/** How much of the day's minutes is taken. */
function Filled({ day }: { day: DayView }) {
  if (day.over || day.minutes === 0) return null;
  const taken = minutes(day.seconds);
  const share = Math.min(100, (100 * day.seconds) / (60 * day.minutes));
  return (
    <div className="mb-2">
      <div className="h-2 bg-tread" aria-hidden>
        <div className="h-2 bg-ink" style={{ width: `${share}%` }} />
      </div>
      <p className="text-sm">
        <strong>{taken}</strong> of {day.minutes} min
      </p>
    </div>
  );
}

type UnitProps = {
  unit: Schemas['UnitView'] | undefined;
  number: number;
  take: (unit: string) => void;
  leave: () => void;
  ask: (unit: string, to: number) => void;
};

function Unit({ unit, number, take, leave, ask }: UnitProps) {
  if (!unit) return null;
  const onKey = (event: KeyboardEvent) => {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    const to = number + by;
    if (by !== 0 && to >= 0 && to < DAY_NAMES.length) {
      event.preventDefault();
      ask(unit.id, to);
    }
  };
  return (
    <li>
      <button
        draggable
        onDragStart={() => take(unit.id)}
        onDragEnd={leave}
        onClick={() => ask(unit.id, number)}
        onKeyDown={onKey}
        className="block w-full cursor-grab border border-l-4 border-rule border-l-ink bg-paper px-2 py-1.5 text-left text-ink hover:bg-tread"
        aria-label={`${unit.name}, move`}
      >
        <span className="block leading-tight font-semibold first-letter:uppercase">{unit.name}</span>
        {unit.lines.length > 1 && <span className="block text-sm text-soft">{unit.lines.length} lines</span>}
        {unit.lines.some((l) => l.setLess) && <span className="block text-sm text-soft">a set less this week</span>}
        {unit.kept && <span className="block text-sm text-warn">▲ set by hand: {unit.kept}</span>}
      </button>
    </li>
  );
}
