import { changeSaid } from './change';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, type Schemas } from '../../shared/api/client';
import { degrees, fixed, signed } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { ClientHead } from '../../shared/ui/ClientHead';
import { DateField } from '../../shared/ui/DateField';
import { Failure } from '../../shared/ui/Findings';
import { SideResult, sideName } from './RangeResult';
import { SawTooth } from './SawTooth';
import { useRanges } from './useRanges';
import { parts } from './WhatLimits';
import { FIT } from './fit';

type Instrument = Schemas['MotionHistory']['instrument'];

export function MotionPage() {
  const { clientId = '', motion = '', position = '', instrument = '' } = useParams();
  const [since, setSince] = useState<string>();
  const ranges = useRanges(clientId);
  const history = useQuery({
    queryKey: ['history', clientId, motion, position, instrument, since],
    placeholderData: (before) => before,
    queryFn: () =>
      ask(
        api.GET('/api/clients/{clientId}/ranges/{motion}', {
          params: {
            path: { clientId, motion },
            query: {
              position,
              instrument: instrument as Instrument,
              since: since ? new Date(since).toISOString() : undefined,
            },
          },
        }),
      ),
  });
  const row = ranges.data?.find((r) => r.motion === motion && r.position === position && r.instrument === instrument);
  return (
    <>
      <ClientHead clientId={clientId} tread="measure" />
      <Failure error={ranges.error ?? history.error} />
      {ranges.data && !row && <p>Nothing measured here yet.</p>}
      {row && history.data && (
        <>
          <Head clientId={clientId} row={row} />
          <div className="grid gap-8 xl:grid-cols-[1.3fr_1fr]">
            <section aria-label="History" className="min-w-0">
              {history.data.sides.map((side) => (
                <SideHistory key={side.side} side={side} row={row} since={since} />
              ))}
              <div className="no-print w-56">
                <DateField label="Count changes since" value={since} onChange={setSince} />
              </div>
              <Legend />
            </section>
            <section aria-label="Today" className="min-w-0">
              {row.sides.map((side) => (
                <SideResult key={side.side} range={side} row={row} />
              ))}
              {parts(row).length > 0 && <p className="mb-4">Need: {parts(row).join(' · ')}.</p>}
              <Benches lines={history.data.benches} />
              <Tables values={history.data.tables} />
            </section>
          </div>
        </>
      )}
    </>
  );
}

function Head({ clientId, row }: { clientId: string; row: Schemas['RangeRow'] }) {
  const query = new URLSearchParams({ motion: row.motion, position: row.position, instrument: row.instrument });
  return (
    <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
      <div>
        <h2 className="text-2xl font-bold">{row.name}</h2>
        <p className="text-soft">
          {row.positionName}, {row.instrument.toLowerCase()}
        </p>
      </div>
      <div className="no-print flex gap-3">
        <Link
          className="inline-block min-h-11 border border-ink bg-ink px-4 py-2 font-semibold text-paper"
          to={`/clients/${clientId}/measure/bench?${query}`}
        >
          Measure it again
        </Link>
        <Button onClick={() => print()}>Print</Button>
      </div>
    </div>
  );
}

type SideProps = { side: Schemas['SideHistory']; row: Schemas['RangeRow']; since: string | undefined };

function SideHistory({ side, row, since }: SideProps) {
  const from = since ? `since ${new Date(since).toLocaleDateString()}` : 'since the first reading';
  return (
    <figure className="mb-6 break-inside-avoid">
      <h3 className="font-semibold">{sideName(side.side)}</h3>
      <SawTooth side={side} goal={row.goalDegrees} usual={row.usualPassive} />
      <figcaption>
        {side.passiveChange && (
          <p>
            Passive {signed(side.passiveChange.degrees)} {from} ({signed(side.passiveChange.lower)} to{' '}
            {signed(side.passiveChange.upper)}): {changeSaid(side.passiveChange)}.
          </p>
        )}
        {side.activeChange && (
          <p>
            Active {signed(side.activeChange.degrees)} {from}: {changeSaid(side.activeChange)}.
          </p>
        )}
        <RetentionText retention={side.retention} />
      </figcaption>
    </figure>
  );
}

/** How much of what each session gained stayed; for understanding, never a gate. */
function RetentionText({ retention: r }: { retention: Schemas['SideHistory']['retention'] }) {
  if (!r) {
    return (
      <p className="text-sm text-soft">
        Kept or borrowed: needs cold and warm readings of four sessions over two weeks.
      </p>
    );
  }
  return (
    <p>
      Over {r.sessions} sessions in {Math.round(r.days)} days: {signed(r.acuteDegrees)} gained warm,{' '}
      {signed(r.keptDegrees)} kept cold
      {r.lower95 !== undefined && r.upper95 !== undefined
        ? `, ${Math.round(r.ratio * 100)} % (${Math.round(r.lower95 * 100)} to ${Math.round(r.upper95 * 100)} %)`
        : ', a share that cannot be told yet'}
      .{r.borrowed && <strong> Borrowed: work actively at the end of the range, so that it stays.</strong>}
    </p>
  );
}

function Legend() {
  return (
    <p className="mt-3 text-sm text-soft">
      Circles passive, squares active; filled cold, open warm, joined to their cold reading; band the estimate with 95
      %; a ring marks a reading far from what was expected.
    </p>
  );
}

function Benches({ lines }: { lines: Schemas['BenchLine'][] }) {
  if (lines.length === 0) return null;
  return (
    <div className="mb-4">
      <h3 className="font-semibold">On benches</h3>
      <ul>
        {lines.map((l) => (
          <li key={l.bench + l.side}>
            {l.bench}, {sideName(l.side).toLowerCase()}:{' '}
            {l.line
              ? `${degrees(l.line.intercept)} flat, ${signed(l.line.slope * 10)} for each 10° of incline, ± ${fixed(2 * l.line.residualSd, 1)}° about the line`
              : l.missing}
          </li>
        ))}
      </ul>
    </div>
  );
}

const KIND: Record<Schemas['TableValue']['kind'], string> = {
  STUDY: '',
  MEAN_INTERVAL: 'interval of the mean, no usual range',
  ROUND: 'round number',
};

/** Every published value for this motion in this joint position. */
function Tables({ values }: { values: Schemas['TableValue'][] }) {
  if (values.length === 0) {
    return <p className="text-sm text-soft">No published table was measured in this joint position.</p>;
  }
  return (
    <details>
      <summary className="cursor-pointer font-semibold">Published values ({values.length})</summary>
      <table className="mt-2 w-full text-sm">
        <thead className="text-left text-soft">
          <tr>
            <th className="font-normal">by</th>
            <th className="font-normal">mean</th>
            <th className="font-normal">people</th>
            <th className="font-normal">source</th>
          </tr>
        </thead>
        <tbody>
          {values.map((v, i) => (
            <tr key={i} className="border-t border-rule align-top">
              <td className="pr-2">{v.mode}</td>
              <td className="pr-2 whitespace-nowrap">
                {degrees(v.mean)}
                {v.sd !== undefined && ` ± ${v.sd}`}
                {v.lower !== undefined && v.upper !== undefined && ` (${v.lower} to ${v.upper})`}
              </td>
              <td className="pr-2">
                {v.population}
                {v.fit === 'SAME_GROUP' ? <strong> ✓</strong> : FIT[v.fit]}
              </td>
              <td className="text-soft">
                {v.source} {KIND[v.kind] && `· ${KIND[v.kind]}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
