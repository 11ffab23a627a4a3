import { fixed } from '../../shared/units';
import { useQuery } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../../shared/api/client';

const HEIGHT = 46;
const BAR = 11;

/** Rating × minutes, day by day over four weeks, with the newest week in words. */
export function LoadOfWeeks({ clientId }: { clientId: string }) {
  const load = useQuery({
    queryKey: ['load', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/load', { params: { path: { clientId } } })),
  });
  const weeks = load.data?.weeks ?? [];
  const [now, before] = weeks;
  if (!now || weeks.every((w) => w.total === 0)) return null;
  const days = [...weeks].reverse().flatMap((w) => w.points);
  const most = Math.max(...days);
  return (
    <section className="mt-10">
      <h2 className="mb-1 text-xl font-bold">Load, rating × minutes</h2>
      <svg
        viewBox={`0 0 ${days.length * BAR} ${HEIGHT}`}
        className="w-full max-w-md"
        role="img"
        aria-label={`Load of the last ${days.length} days`}
      >
        <line x1="0" x2={days.length * BAR} y1={HEIGHT - 1} y2={HEIGHT - 1} stroke="var(--rule)" strokeWidth="2" />
        {days.map((points, i) => (
          <rect
            key={i}
            x={i * BAR + 1}
            width={BAR - 2}
            y={HEIGHT - 1 - (points / most) * (HEIGHT - 4)}
            height={(points / most) * (HEIGHT - 4)}
            fill={i >= days.length - 7 ? 'var(--ink)' : 'var(--soft)'}
          />
        ))}
      </svg>
      <p>
        <strong>{Math.round(now.total)}</strong> in the last seven days
        {before ? `, ${Math.round(before.total)} in the seven before` : ''}
        {words(now)}.{' '}
        {load.data && load.data.unrated > 0 && (
          <span className="text-soft">{load.data.unrated} sessions without a rating are left out.</span>
        )}
      </p>
    </section>
  );
}

function words(week: Schemas['WeekLoad']): string {
  if (week.monotony === undefined || week.strain === undefined) return '';
  return `; monotony ${fixed(week.monotony, 2)}, strain ${Math.round(week.strain)}`;
}
