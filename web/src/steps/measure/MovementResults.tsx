import { useQuery } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../../shared/api/client';
import { Failure } from '../../shared/ui/Findings';
import { day, length, words } from '../../shared/units';

type Result = Schemas['MovementResult'];

/** Each movement as it went from test to test; cold is set beside cold, warm beside warm. */
export function MovementResults({ clientId }: { clientId: string }) {
  const results = useQuery({
    queryKey: ['movements', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/movements', { params: { path: { clientId } } })),
  });
  const series = seriesOf(results.data ?? []);
  return (
    <section className="mt-8 max-w-3xl" aria-label="Movements">
      <h2 className="mb-2 text-xl font-bold">Movements</h2>
      <Failure error={results.error} />
      {results.data && series.length === 0 && (
        <p className="text-soft">
          No movement was tested yet. Put one into a battery, or a movement re-test into a session: before its first
          work it is a cold one.
        </p>
      )}
      <ul>
        {series.map(({ key, first, last, count }) => (
          <li key={key} className="flex flex-wrap items-baseline justify-between gap-x-6 border-t border-rule py-2">
            <span className="font-semibold">
              {last.movement}, <span className="font-normal">{words(last.warmth)}</span>
            </span>
            <span>
              {count > 1 && (
                <>
                  {told(first)} <span className="text-soft">on {day(first.happenedAt)}</span> →{' '}
                </>
              )}
              <strong>{told(last)}</strong> <span className="text-soft">on {day(last.happenedAt)}</span>
              {count > 2 && <span className="text-soft">, {count} tests</span>}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function told(result: Result): string {
  return result.unit === 'GRADE' ? `${result.value} of 10` : length(result.value);
}

function seriesOf(results: Result[]) {
  const byKey = new Map<string, Result[]>();
  for (const result of results) {
    const key = `${result.movement} ${result.unit} ${result.warmth}`;
    byKey.set(key, [...(byKey.get(key) ?? []), result]);
  }
  return [...byKey].flatMap(([key, all]) => {
    const [first, last] = [all[0], all.at(-1)];
    return first && last ? [{ key, first, last, count: all.length }] : [];
  });
}
