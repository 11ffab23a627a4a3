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
      {rows?.length === 0 && (
        <p className="max-w-prose text-lg">
          Nothing measured yet. Begin with the motion that the goal needs most, both sides, passive and active, cold;
          the map of all ranges appears here.
        </p>
      )}
      {rows?.length === 0 && <Ways clientId={clientId} />}
      {rows && rows.length > 0 && <Map clientId={clientId} rows={rows} />}
    </>
  );
}

/** To the bench, and to what is behind the readings. */
function Ways({ clientId }: { clientId: string }) {
  return (
    <div className="no-print flex flex-wrap gap-3">
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
  );
}

function Map({ clientId, rows }: { clientId: string; rows: Schemas['RangeRow'][] }) {
  const [order, setOrder] = useState<Order>('priority');
  const catalogue = useCatalogue();
  return (
    <div className="grid gap-x-10 xl:grid-cols-[minmax(0,1fr)_19rem]">
      <section aria-label="All ranges" className="min-w-0">
        <div className="mb-2 flex flex-wrap items-end justify-between gap-3">
          <Ways clientId={clientId} />
          <div className="no-print flex flex-wrap items-end gap-3">
            <Choice
              label="Order"
              value={order}
              onChange={setOrder}
              options={[
                ['priority', 'Need'],
                ['body', 'Joint'],
                ['newest', 'Newest'],
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
        <Guessed clientId={clientId} rows={rows} />
      </section>
      <WhatLimits clientId={clientId} rows={rows} />
    </div>
  );
}

/** A usual range of people that nobody knows to be the client's own is no silent judge. */
function Guessed({ clientId, rows }: { clientId: string; rows: Schemas['RangeRow'][] }) {
  const guessed = rows.flatMap((r) => [r.usualPassive, r.usualActive]).filter((u) => u?.fit === 'GUESS');
  if (guessed.length === 0) return null;
  return (
    <p className="mt-2 max-w-prose text-sm">
      ▲ Age or sex is not on file, so the brackets are a guess: they are those of{' '}
      {[...new Set(guessed.map((u) => u?.population))].join(', ')}.{' '}
      <Link className="underline" to={`/clients/${clientId}/file`}>
        Add them to the file
      </Link>
    </p>
  );
}

/** By need is the server's own order; by joint is the catalogue's, head to foot. */
function sorted(rows: Schemas['RangeRow'][], order: Order, body?: Schemas['Body']): Schemas['RangeRow'][] {
  if (order === 'priority') return rows;
  if (order === 'newest') return [...rows].sort((a, b) => b.lastMeasured.localeCompare(a.lastMeasured));
  const place = (motion: string) => body?.motions.findIndex((m) => m.id === motion) ?? 0;
  return [...rows].sort((a, b) => place(a.motion) - place(b.motion));
}
