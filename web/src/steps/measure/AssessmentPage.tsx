import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, findingsOf, newId, type Schemas } from '../../shared/api/client';
import { day, degrees, signed } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { ClientHead } from '../../shared/ui/ClientHead';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';
import { useCatalogue } from '../../shared/ui/useCatalogue';
import { Bench } from './Bench';
import { onTo, stateOf, type BenchState, type Body, type Item } from './draft';
import { sideName } from './RangeResult';

type Paired = Schemas['Paired'];

export function AssessmentPage() {
  const { clientId = '', assessmentId = '' } = useParams();
  const catalogue = useCatalogue();
  const paired = useQuery({
    queryKey: ['assessment', clientId, assessmentId],
    queryFn: () =>
      ask(
        api.GET('/api/clients/{clientId}/assessments/{assessmentId}', {
          params: { path: { clientId, assessmentId } },
        }),
      ),
  });
  return (
    <>
      <ClientHead clientId={clientId} tread="measure" />
      <Failure error={catalogue.error ?? paired.error} />
      {catalogue.data && paired.data && (
        <Round key={assessmentId} clientId={clientId} body={catalogue.data} paired={paired.data} />
      )}
    </>
  );
}

type Props = { clientId: string; body: Body; paired: Paired };

/** Goes through the battery item by item; what is kept leads on to the next. */
function Round({ clientId, body, paired }: Props) {
  const { items } = paired.battery.body;
  const [at, setAt] = useState(paired.next ?? -1);
  const [state, setState] = useState<BenchState | null>(() => {
    const first = items[paired.next ?? -1];
    return first ? stateOf(first, paired.assessment.id) : null;
  });
  const go = (n: number) => {
    const item = items[n];
    setAt(item ? n : -1);
    setState((s) => (item ? (s ? onTo(item, s) : stateOf(item, paired.assessment.id)) : null));
  };
  const item = items[at];
  return (
    <div className="grid gap-8 xl:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]">
      <div>
        {item && state ? (
          <Bench
            clientId={clientId}
            body={body}
            state={state}
            setState={(change) => setState((s) => (s ? change(s) : s))}
            onSaved={() => go(at + 1)}
            place={() => <Where item={item} body={body} at={at} all={items.length} />}
          />
        ) : (
          <p className="text-xl font-semibold">
            {paired.next === undefined ? 'Every measure is in.' : 'Pick what is still missing from the list.'}
          </p>
        )}
        <MovementFields clientId={clientId} paired={paired} />
      </div>
      <section aria-label="The battery">
        <h2 className="text-xl font-bold">
          {paired.battery.name}
          {paired.baseline ? `, re-test beside ${day(paired.baseline.happenedAt)}` : ', baseline'}
        </h2>
        <p className="mb-2 text-soft">
          {paired.items.filter((i) => i.now !== undefined).length} of {items.length} measured
        </p>
        <Items body={body} paired={paired} at={at} go={go} />
        <Link to={`/clients/${clientId}/measure`} className="mt-4 inline-block underline">
          Range map
        </Link>
      </section>
    </div>
  );
}

function Where({ item, body, at, all }: { item: Item; body: Body; at: number; all: number }) {
  const motion = body.motions.find((m) => m.id === item.motion);
  const position = body.positions.find((p) => p.id === item.position);
  return (
    <div>
      <p className="text-soft">
        {at + 1} of {all}
      </p>
      <h2 className="text-3xl font-bold">
        {sideName(item.side)} {motion?.name}, {item.mode.toLowerCase().replace('_', '-')}
      </h2>
      <p className="text-soft">
        {position?.name}, {item.warmth.toLowerCase()}, {item.instrument.toLowerCase()}. Landmarks: {motion?.landmarks}.
      </p>
    </div>
  );
}

function Items({ body, paired, at, go }: { body: Body; paired: Paired; at: number; go: (n: number) => void }) {
  return (
    <table className="w-full text-sm">
      <thead className="text-left text-soft">
        <tr>
          <th className="font-normal">measure</th>
          {paired.baseline && <th className="text-right font-normal">then</th>}
          <th className="text-right font-normal">now</th>
          {paired.baseline && <th className="pl-3 font-normal">change</th>}
        </tr>
      </thead>
      <tbody>
        {paired.items.map((pair, n) => (
          <tr key={n} className={`border-t border-rule ${n === at ? 'bg-tread font-semibold' : ''}`}>
            <td>
              <button className="py-1 text-left hover:underline" onClick={() => go(n)}>
                {sideName(pair.item.side)} {body.motions.find((m) => m.id === pair.item.motion)?.name},{' '}
                {pair.item.mode.toLowerCase().replace('_', '-')}
              </button>
            </td>
            {paired.baseline && <td className="text-right">{pair.then === undefined ? '–' : degrees(pair.then)}</td>}
            <td className="text-right">{pair.now === undefined ? '–' : degrees(pair.now)}</td>
            {paired.baseline && (
              <td className="pl-3">
                {pair.change &&
                  (pair.change.real ? signed(pair.change.degrees) : `${signed(pair.change.degrees)}, within noise`)}
              </td>
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The movements of the battery: how it looked then, and now. */
function MovementFields({ clientId, paired }: { clientId: string; paired: Paired }) {
  if (paired.movements.length === 0) return null;
  return (
    <section aria-label="Movements" className="mt-8">
      <h2 className="mb-2 text-xl font-bold">Movements</h2>
      <ul className="space-y-3">
        {paired.movements.map((m) => (
          <OneMovement key={m.movement.name} clientId={clientId} paired={paired} pair={m} />
        ))}
      </ul>
    </section>
  );
}

function OneMovement({ clientId, paired, pair }: { clientId: string; paired: Paired; pair: Schemas['MovementPair'] }) {
  const queries = useQueryClient();
  const [value, setValue] = useState<number | null>(pair.now ?? null);
  const unit = pair.movement.unit === 'GRADE' ? '/10' : 'cm';
  const save = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/clients/{clientId}/assessments/{assessmentId}/movements', {
          params: { path: { clientId, assessmentId: paired.assessment.id } },
          body: { id: newId(), movement: pair.movement.name, value: value ?? 0, note: '' },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['assessment'] }),
  });
  const findings = findingsOf(save.error);
  return (
    <li className="flex flex-wrap items-end gap-4">
      <div className="w-64">
        <NumberField
          label={pair.movement.name}
          unit={unit}
          value={value}
          onChange={setValue}
          path="value"
          findings={findings}
        />
      </div>
      <Button onClick={() => save.mutate()} disabled={value === null || save.isPending}>
        Save
      </Button>
      <span className="min-h-11 content-center text-soft" role="status">
        {pair.then !== undefined && `then ${pair.then} ${unit}`} {pair.now !== undefined && `now ${pair.now} ${unit}`}
      </span>
      <OtherFindings findings={findings} shown={(p) => p === 'value'} />
    </li>
  );
}
