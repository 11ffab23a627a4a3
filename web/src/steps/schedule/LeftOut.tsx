import { useQuery } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import type { WeekView } from './days';

type Props = { week: WeekView; clientId: string; take: (way: Schemas['WayOut']) => void; busy: boolean };

/** What does not fit, with the reason of each day, and single changes after which everything does. */
export function LeftOut({ week, clientId, take, busy }: Props) {
  const ways = useQuery({
    queryKey: ['ways', clientId, week.monday, week.leftOut],
    enabled: !week.fits,
    queryFn: () =>
      ask(
        api.GET('/api/clients/{clientId}/weeks/{monday}/ways', {
          params: { path: { clientId, monday: week.monday } },
        }),
      ),
  });
  if (week.fits) return null;
  return (
    <section className="mt-5 border-l-[6px] border-warn bg-card p-4" aria-label="What does not fit">
      <h3 className="mb-2 text-xl font-bold text-warn">▲ Not everything fits</h3>
      <ul className="mb-3 space-y-2">
        {week.leftOut.map((l) => (
          <li key={l.line}>
            <strong className="inline-block first-letter:uppercase">{l.name}</strong>: {l.has} of {l.wanted} days.
            <ul className="text-sm text-soft">
              {l.reasons.map((r) => (
                <li key={r.words}>
                  {r.days}: {r.words}
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
      <Failure error={ways.error} />
      {ways.isPending && <p className="text-soft">Looking for ways out…</p>}
      {ways.data && ways.data.conflict.length > 1 && (
        <p className="mb-2">Cannot go together: {ways.data.conflict.join(', ')}.</p>
      )}
      {ways.data && (
        <>
          <h4 className="mb-1 font-semibold">
            {ways.data.ways.length > 0 ? 'One of these is enough:' : 'No single change is enough.'}
          </h4>
          <div className="flex flex-wrap gap-2">
            {ways.data.ways.map((w) => (
              <Button key={w.words} disabled={busy} onClick={() => take(w.way)}>
                {w.words}
              </Button>
            ))}
          </div>
        </>
      )}
    </section>
  );
}
