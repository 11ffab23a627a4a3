import { fixed, weight } from '../../../shared/units';
import { memo, useState } from 'react';
import { useMutation } from '@tanstack/react-query';
import { api, ask, findingsOf, type Schemas } from '../../../shared/api/client';
import { Button } from '../../../shared/ui/Button';
import { Failure } from '../../../shared/ui/Findings';
import { NumberField } from '../../../shared/ui/NumberField';
import { BandLine } from './BandLine';
import type { Band } from './edit';

type Props = {
  clientId: string;
  motion: string;
  position: string;
  sets: Schemas['LineSet'][];
  takeBand: (band: Band) => void;
};

/** The load for a wanted torque, and a band in its place. */
export const Weights = memo(function Weights({ clientId, motion, position, sets, takeBand }: Props) {
  const [open, setOpen] = useState(false);
  const set = sets[0];
  const heavy = set?.torques[0];
  return (
    <details open={open} onToggle={(e) => setOpen(e.currentTarget.open)} className="text-sm">
      <summary className="cursor-pointer font-semibold">Weight or band</summary>
      {open && (
        <div className="mt-2 grid gap-6 sm:grid-cols-2">
          {set && heavy ? (
            <div>
              {heavy.next && (
                <p className="mb-3">
                  <strong>Next, after two clean sessions:</strong> {heavy.next.why.text}.
                </p>
              )}
              <Torque
                clientId={clientId}
                motion={motion}
                position={position}
                angle={set.reachedDegrees}
                now={heavy.newtonMetres}
              />
            </div>
          ) : (
            <p>No torque here: the client’s file has no body mass yet, or nothing is held up in this position.</p>
          )}
          <BandLine wantedKg={heavy && heavy.loadKg > 0 ? heavy.loadKg : null} take={takeBand} />
        </div>
      )}
    </details>
  );
});

type TorqueProps = { clientId: string; motion: string; position: string; angle: number; now: number };

function Torque({ clientId, motion, position, angle, now }: TorqueProps) {
  const [wanted, setWanted] = useState<number | null>(Math.round(now * 10) / 10);
  const solve = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/clients/{clientId}/score/load', {
          params: { path: { clientId } },
          body: { motion, position, degrees: angle, newtonMetres: wanted ?? 0 },
        }),
      ),
  });
  return (
    <div>
      <NumberField
        label="Wanted torque"
        unit="N·m"
        value={wanted}
        onChange={setWanted}
        path="newtonMetres"
        findings={findingsOf(solve.error)}
        onEnter={() => solve.mutate()}
      />
      <Button className="mt-2" onClick={() => solve.mutate()} disabled={wanted === null || solve.isPending}>
        Which load?
      </Button>
      <ul className="mt-2">
        {solve.data?.map((l) => (
          <li key={l.limb}>
            {l.limb}:{' '}
            {l.loadKg === undefined ? (
              `heavier than that by itself (${fixed(l.bareNewtonMetres, 1)} N·m)`
            ) : (
              <>
                <span className="text-lg font-bold">{weight(l.loadKg)}</span>
                {l.plate === undefined ? ', more than two plates' : `, nearest ${weight(l.plate)}`}
              </>
            )}
          </li>
        ))}
      </ul>
      <Failure error={findingsOf(solve.error).length > 0 ? null : solve.error} />
    </div>
  );
}
