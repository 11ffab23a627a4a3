import { Link } from 'react-router';
import type { Schemas } from '../../shared/api/client';
import { VerdictGlyph } from '../../shared/draw/VerdictGlyph';
import { OtherFindings } from '../../shared/ui/Findings';
import { daysAgo, words } from '../../shared/units';

type Climb = Schemas['SideClimb'];

/** Each line of the program with its flight in small and what it waits for. */
export function LinesNow({ day, climbs }: { day: Schemas['ClientDay']; climbs: Climb[] }) {
  return (
    <section>
      <h2 className="mb-1 text-xl font-bold">Program</h2>
      {day.lines.length === 0 && (
        <p className="text-soft">
          Nothing prescribed yet.{' '}
          <Link className="underline" to={`/clients/${day.id}/prescribe`}>
            Prescribe
          </Link>
        </p>
      )}
      <ul>
        {day.lines.map((line) => (
          <li
            key={line.lineId}
            className="grid items-center gap-x-4 gap-y-1 border-t border-rule py-2 sm:grid-cols-[13rem_9rem_minmax(0,1fr)]"
          >
            <div>
              <p className="font-semibold">{words(line.motion)}</p>
              <p className="text-sm text-soft">
                {line.sessionsDone === 0 ? 'not trained yet' : `last ${daysAgo(line.lastSession)}`}
              </p>
            </div>
            <SmallFlight climbs={climbs.filter((c) => c.lineId === line.lineId)} />
            <div className="text-sm">
              <Link to={`/clients/${day.id}/advance`} className="hover:underline">
                {line.verdict && <VerdictGlyph verdict={line.verdict} />}
              </Link>
              <p>{line.why}</p>
              {line.trouble && <OtherFindings findings={[line.trouble]} shown={() => false} />}
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

const TREAD = 12;
const HEIGHT = 26;

/** Rungs of the last weeks, one tread a step; sides that climbed alike are one flight. */
function SmallFlight({ climbs }: { climbs: Climb[] }) {
  if (climbs.every((c) => c.levels.length < 2)) return <span className="text-sm text-soft">no step yet</span>;
  const [first, ...others] = climbs;
  const alike = others.every((c) => c.levels.join() === first?.levels.join());
  return (
    <div>
      {(alike ? climbs.slice(0, 1) : climbs).map((c) => (
        <div key={c.side} className="flex items-end gap-2">
          {climbs.length > 1 && <span className="w-10 text-xs text-soft">{alike ? 'both' : words(c.side)}</span>}
          <Steps climb={c} />
        </div>
      ))}
    </div>
  );
}

function Steps({ climb: { levels, plateau } }: { climb: Climb }) {
  const low = Math.min(...levels);
  const rise = (HEIGHT - 6) / Math.max(1, Math.max(...levels) - low);
  const width = Math.max(60, levels.length * TREAD);
  const y = (level: number) => HEIGHT - 3 - (level - low) * rise;
  return (
    <svg
      viewBox={`0 0 ${width} ${HEIGHT}`}
      className="h-6.5 max-w-44 min-w-0 grow"
      preserveAspectRatio="none"
      role="img"
      aria-label={`from rung ${levels[0] ?? 0} to rung ${levels.at(-1) ?? 0}${plateau ? ', no step for long' : ''}`}
    >
      <path
        d={levels.map((level, n) => `${n === 0 ? 'M' : 'L'}${n * TREAD} ${y(level)}h${TREAD}`).join('')}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={2}
      />
    </svg>
  );
}
