import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, type Schemas } from '../../shared/api/client';
import { day } from '../../shared/units';
import { BeginAssessment } from '../../shared/ui/BeginAssessment';
import { Button } from '../../shared/ui/Button';
import { ClientHead } from '../../shared/ui/ClientHead';
import { Failure } from '../../shared/ui/Findings';
import { useCatalogue } from '../../shared/ui/useCatalogue';
import { BatteryForm } from './BatteryForm';
import { MovementResults } from './MovementResults';

export function BatteriesPage() {
  const { clientId = '' } = useParams();
  const catalogue = useCatalogue();
  const [making, setMaking] = useState(false);
  const batteries = useQuery({
    queryKey: ['batteries', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/batteries', { params: { path: { clientId } } })),
  });
  return (
    <>
      <ClientHead clientId={clientId} tread="measure" />
      <Failure error={batteries.error ?? catalogue.error} />
      <h2 className="mb-2 text-2xl font-bold">Batteries</h2>
      <p className="mb-5 max-w-prose text-soft">
        A saved set of measures with the movements that are looked at before and after. A re-test repeats the same set:
        same position, same instrument, same order, cold; it is paired with the first time.
      </p>
      <ul className="mb-6 space-y-5">
        {batteries.data?.map((b) => (
          <OneBattery key={b.battery.id} clientId={clientId} view={b} />
        ))}
      </ul>
      {making && catalogue.data ? (
        <BatteryForm clientId={clientId} body={catalogue.data} done={() => setMaking(false)} />
      ) : (
        <Button look={batteries.data?.length === 0 ? 'main' : 'plain'} onClick={() => setMaking(true)}>
          Make a battery
        </Button>
      )}
      <MovementResults clientId={clientId} />
    </>
  );
}

function OneBattery({ clientId, view }: { clientId: string; view: Schemas['BatteryView'] }) {
  const { items, movements } = view.battery.body;
  return (
    <li className="border-t-2 border-rule pt-3">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <div>
          <h3 className="text-lg font-bold">{view.battery.name}</h3>
          <p className="text-soft">
            {items.length} measures
            {movements.length > 0 && `, ${movements.map((m) => m.name).join(', ')}`}
          </p>
        </div>
        <BeginAssessment
          clientId={clientId}
          batteryId={view.battery.id}
          words={view.assessments.length === 0 ? 'Take the baseline' : 'Re-test'}
        />
      </div>
      <ul className="mt-2 flex flex-wrap gap-x-5">
        {view.assessments.map((a, i) => (
          <li key={a.id}>
            <Link className="underline" to={`/clients/${clientId}/measure/assessments/${a.id}`}>
              {i === 0 ? 'Baseline' : `Re-test ${i}`}, {day(a.happenedAt)}
            </Link>
          </li>
        ))}
      </ul>
    </li>
  );
}
