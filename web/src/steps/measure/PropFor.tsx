import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf } from '../../shared/api/client';
import { degrees, fixed, length } from '../../shared/units';
import { NumberField } from '../../shared/ui/NumberField';
import { useDebounced } from '../../shared/ui/useDebounced';
import type { BenchState } from './draft';

/** The tape's inverse: how far to set the prop for an angle. */
export function PropFor({ clientId, state }: { clientId: string; state: BenchState }) {
  const [wanted, setWanted] = useState<number | null>(null);
  const body = useDebounced(
    { position: state.position, degrees: wanted ?? 0, startCm: state.startCm ?? 0, body: state.body },
    150,
  );
  const answer = useQuery({
    queryKey: ['prop', clientId, body],
    enabled: wanted !== null,
    queryFn: () => ask(api.POST('/api/clients/{clientId}/props', { params: { path: { clientId } }, body })),
  });
  const findings = [...findingsOf(answer.error), ...(answer.data?.findings ?? [])];
  return (
    <div className="flex flex-wrap items-end gap-4 border-l-4 border-rule pl-4">
      <div className="w-40">
        <NumberField label="And back: for an angle of" unit="°" value={wanted} onChange={setWanted} />
      </div>
      <p role="status" className="min-h-11 content-center">
        {findings[0]
          ? `▲ ${findings[0].message}`
          : wanted !== null &&
            answer.data?.readingCm !== undefined &&
            answer.data.reachedDegrees !== undefined && (
              <>
                the tape shows <strong>{length(answer.data.readingCm)}</strong>, which gives{' '}
                {degrees(answer.data.reachedDegrees)} ± {fixed(answer.data.plusMinus ?? 0, 1)}°
              </>
            )}
      </p>
    </div>
  );
}
