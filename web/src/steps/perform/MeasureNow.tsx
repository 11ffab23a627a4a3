import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, AT_HOME, newId, type Schemas, type Side } from '../../shared/api/client';
import { NumberField } from '../../shared/ui/NumberField';
import { words } from '../../shared/units';
import { KeepValue } from './KeepValue';

type Props = {
  clientId: string;
  line: Schemas['FloorLine'];
  warmth: Schemas['MeasurementDraft']['warmth'];
  sides: Side[];
};

/** One passive reading a side at its moment: cold before the start, warm during and after. Kept beside the careful ones. */
export function MeasureNow({ clientId, line, warmth, sides }: Props) {
  if (line.instrument === 'TAPE') {
    return (
      <Link className="font-semibold underline" to={`/clients/${clientId}/measure/bench`}>
        With the tape, at the measuring bench
      </Link>
    );
  }
  return (
    <div className="flex flex-wrap items-end gap-4" role="group" aria-label={`${words(warmth)} reading`}>
      {sides.map((side) => (
        <OneSide key={side} side={side} clientId={clientId} line={line} warmth={warmth} />
      ))}
    </div>
  );
}

function OneSide({ clientId, line, warmth, side }: Omit<Props, 'sides'> & { side: Side }) {
  const queries = useQueryClient();
  const [pain, setPain] = useState<number | null>(null);
  const which = side === 'LEFT' ? 'Left' : side === 'RIGHT' ? 'Right' : 'Angle';
  const send = async (value: number) => {
    await ask(
      api.POST('/api/clients/{clientId}/measurements', {
        params: { path: { clientId } },
        body: {
          id: newId(),
          motion: line.motion,
          position: line.positionId,
          instrument: line.instrument,
          side,
          mode: 'PASSIVE',
          warmth,
          tester: AT_HOME ? 'CLIENT' : 'COACH',
          trials: [value],
          pain: pain ?? 0,
          note: warmth === 'COLD' ? 'before the work' : 'in the session',
        },
      }),
    );
    await queries.invalidateQueries({ queryKey: ['ranges'] });
  };
  return (
    <KeepValue of={which} how={words(warmth)} unit="°" path="trials[0]" send={send}>
      {(findings) => (
        <div className="w-16">
          <NumberField label="Pain" value={pain} onChange={setPain} path="pain" findings={findings} />
        </div>
      )}
    </KeepValue>
  );
}
