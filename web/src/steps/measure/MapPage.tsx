import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Choice } from '../../shared/ui/Choice';
import { ClientHead } from '../../shared/ui/ClientHead';
import { Failure } from '../../shared/ui/Findings';
import { useCatalogue } from '../../shared/ui/useCatalogue';
import { RangeMap } from './RangeMap';
import { useRanges } from './useRanges';
import { WhatLimits } from './WhatLimits';

const LINK = 'inline-block min-h-11 border px-4 py-2 font-semibold';

type Order = 'priority' | 'body' | 'newest';

export function MapPage() {
  const { clientId = '' } = useParams();
  const ranges = useRanges(clientId);
  const rows = ranges.data;
  return (
    <>
      <ClientHead clientId={clientId} tread="measure" />
      <Failure error={ranges.error} />
      <div className="no-print mb-5 flex flex-wrap gap-3">
        <Link to={`/clients/${clientId}/measure/bench`} className={`${LINK} border-ink bg-ink text-paper`}>
          Measure
        </Link>
        <Link to={`/clients/${clientId}/measure/batteries`} className={`${LINK} border-rule bg-card hover:bg-tread`}>
          Batteries and re-tests
        </Link>
        <Link to="/noise" className={`${LINK} border-rule bg-card hover:bg-tread`}>
          How sure are my readings
        </Link>
      </div>
      {rows?.length === 0 && (
        <p className="max-w-prose text-lg">
          Nothing measured yet. Begin with the motion that the goal needs most, both sides, passive and active, cold;
          the map of all ranges appears here.
        </p>
      )}
      {rows && rows.length > 0 && <Map clientId={clientId} rows={rows} />}
    </>
  );
}

function Map({ clientId, rows }: { clientId: string; rows: Schemas['RangeRow'][] }) {
  const [order, setOrder] = useState<Order>('priority');
  const catalogue = useCatalogue();
  return (
    <>
      <WhatLimits clientId={clientId} rows={rows} />
      <section aria-label="All ranges">
        <div className="mb-2 flex flex-wrap items-end justify-between gap-4">
          <h2 className="text-xl font-bold">All ranges</h2>
          <div className="no-print flex flex-wrap items-end gap-3">
            <Choice
              label="Order"
              value={order}
              onChange={setOrder}
              options={[
                ['priority', 'By need'],
                ['body', 'By joint'],
                ['newest', 'Newest first'],
              ]}
            />
            <Button onClick={() => print()}>Print</Button>
          </div>
        </div>
        <div className="mb-1 hidden grid-cols-[1fr_13rem_1fr] text-sm text-soft sm:grid">
          <span>Left</span>
          <span />
          <span className="text-right">Right</span>
        </div>
        <RangeMap clientId={clientId} rows={sorted(rows, order, catalogue.data)} byBody={order === 'body'} />
      </section>
    </>
  );
}

/** By need is the server's own order; by joint is the catalogue's, head to foot. */
function sorted(rows: Schemas['RangeRow'][], order: Order, body?: Schemas['Body']): Schemas['RangeRow'][] {
  if (order === 'priority') return rows;
  if (order === 'newest') return [...rows].sort((a, b) => b.lastMeasured.localeCompare(a.lastMeasured));
  const place = (motion: string) => body?.motions.findIndex((m) => m.id === motion) ?? 0;
  return [...rows].sort((a, b) => place(a.motion) - place(b.motion));
}
