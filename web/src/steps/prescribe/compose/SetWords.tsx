import { useMutation } from '@tanstack/react-query';
import { api, ask, findingsOf, type Schemas } from '../../../shared/api/client';
import { NumberField } from '../../../shared/ui/NumberField';
import { degrees, fixed, weight, words } from '../../../shared/units';

type Props = { clientId: string; position: string; set: Schemas['LineSet']; setAngle: (degrees: number) => void };

/** How a side is set up, from the angle to the prop and back, and what gravity does there. */
export function SetWords({ clientId, position, set, setAngle }: Props) {
  const heavy = set.torques[0];
  const back = useMutation({
    mutationFn: (readingCm: number) =>
      ask(
        api.GET('/api/clients/{clientId}/score/angle', {
          params: { path: { clientId }, query: { position, readingCm } },
        }),
      ),
    onSuccess: (angle) => setAngle(Math.round(angle * 10) / 10),
  });
  return (
    <div className="text-sm">
      <p>
        {set.side !== 'MIDLINE' && <span className="font-semibold">{words(set.side)} </span>}
        <span className="text-lg font-bold">{degrees(set.reachedDegrees)}</span>
      </p>
      {set.readingCm !== undefined && (
        <NumberField
          label={set.stackCm === undefined ? 'Tape' : 'Stack'}
          unit="cm"
          value={set.stackCm ?? set.readingCm}
          onChange={(cm) => cm !== null && back.mutate(cm)}
          path="readingCm"
          findings={findingsOf(back.error)}
        />
      )}
      {set.torques.map((t) => (
        <p key={t.limb} className="text-soft">
          {t.limb}: {fixed(t.newtonMetres, 1)} N·m
          {t.loadKg > 0 && `, ${Math.round(t.loadShare * 100)} % of it the ${weight(t.loadKg)}`}
        </p>
      ))}
      {heavy && heavy.loadKg > 0 && (
        <p className="text-soft">
          5 % more: {weight(heavy.loadForMore)};{' '}
          {heavy.plate === undefined ? 'more than two plates' : `nearest ${weight(heavy.plate)}`}
        </p>
      )}
    </div>
  );
}
