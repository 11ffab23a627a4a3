import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, AT_HOME, findingsOf, newId, type Schemas, type Side } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';
import { degrees, words } from '../../shared/units';

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
  const [angle, setAngle] = useState<number | null>(null);
  const [pain, setPain] = useState<number | null>(null);
  const keep = useMutation({
    mutationFn: (value: number) =>
      ask(
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
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['ranges'] }),
  });
  const findings = findingsOf(keep.error);
  if (keep.isSuccess) {
    return (
      <p role="status" className="pb-2">
        {words(side)} <span className="font-bold">{degrees(angle ?? 0)}</span> {words(warmth)}, kept
      </p>
    );
  }
  return (
    <div className="flex items-end gap-2">
      <div className="w-28">
        <NumberField
          label={`${side === 'LEFT' ? 'Left' : side === 'RIGHT' ? 'Right' : 'Angle'}, ${words(warmth)}`}
          unit="°"
          value={angle}
          onChange={setAngle}
          path="trials[0]"
          findings={findings}
          onEnter={() => angle !== null && keep.mutate(angle)}
        />
      </div>
      <div className="w-16">
        <NumberField label="Pain" value={pain} onChange={setPain} path="pain" findings={findings} />
      </div>
      <Button disabled={angle === null || keep.isPending} onClick={() => angle !== null && keep.mutate(angle)}>
        Keep
      </Button>
      <Failure error={findings.length > 0 ? null : keep.error} />
    </div>
  );
}
