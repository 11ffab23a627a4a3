import { Link } from 'react-router';
import type { Schemas } from '../../shared/api/client';
import { shortDate, weeksOn } from './days';

const RISE_PX = 4;

type Props = { block: Schemas['Block']; monday: string; clientId: string };

/** The block as a flight: a tread a week, the last one is the re-test. */
export function BlockStrip({ block, monday, clientId }: Props) {
  return (
    <nav aria-label="Block of weeks" className="mb-4 flex items-end overflow-x-auto">
      {Array.from({ length: block.weeks }, (_, n) => {
        const week = weeksOn(block.start, n);
        const last = n === block.weeks - 1;
        return (
          <Link
            key={week}
            to={`/clients/${clientId}/week/${week}`}
            aria-current={week === monday ? 'step' : undefined}
            style={{ paddingBottom: `${4 + n * RISE_PX}px` }}
            className={`min-w-16 grow basis-0 border-t-4 border-r border-r-rule px-1.5 pt-1 text-xs ${
              week === monday ? 'border-t-ink bg-card font-semibold' : 'border-t-rule bg-tread text-soft hover:text-ink'
            }`}
          >
            <span className="block">{last ? 'Re-test' : `Week ${n + 1}`}</span>
            <span className="block">{shortDate(week)}</span>
          </Link>
        );
      })}
    </nav>
  );
}
