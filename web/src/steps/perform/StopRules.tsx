import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../../shared/api/client';

export function useStopSigns() {
  return useQuery({ queryKey: ['stop-signs'], staleTime: Infinity, queryFn: () => ask(api.GET('/api/stop-signs')) });
}

/** They stand before the start. */
export function StopRules({ painEndsAbove }: { painEndsAbove?: number }) {
  const signs = useStopSigns();
  return (
    <section className="border-l-4 border-warn bg-warn-paper p-4 text-warn">
      <h2 className="mb-1 text-xl font-bold">Stop at once with</h2>
      <ul className="list-disc pl-5">
        {signs.data?.map((s) => (
          <li key={s.sign}>{s.words}</li>
        ))}
      </ul>
      <p className="mt-2 text-sm">
        Shaking, a passing cramp and muscle soreness are not stop signs by themselves.
        {painEndsAbove !== undefined && ` Pain above ${painEndsAbove} ends the block.`}
      </p>
    </section>
  );
}
