import { useEffect, useState, useSyncExternalStore } from 'react';
import { SIDES, type Schemas, type Side } from '../../../shared/api/client';
import * as Runs from '../run';
import type { Gauges } from './gauges';
import { newtonsOf } from './TraceCanvas';

const READ_MS = 250;

type Props = { gauges: Gauges; run: Runs.Run; floor: Schemas['Floor'] };

/** What the gauges say, a few times a second; a gauge that is gone is said in words. */
export function GaugeBar({ gauges, run, floor }: Props) {
  const view = useSyncExternalStore(gauges.watch, gauges.view);
  const [, read] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => read((n) => n + 1), READ_MS);
    return () => clearInterval(timer);
  }, []);
  const phase = Runs.current(run);
  const out = SIDES.filter((s) => view.gauges[s]?.plugged === false);
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-1" role="group" aria-label="Force gauges">
      {SIDES.map((side) => (
        <Reading
          key={side}
          side={side}
          newtons={view.gauges[side]?.plugged ? gauges.view().gauges[side]?.newtons : undefined}
          full={newtonsOf(floor.references, phase, side)}
          cable={(plugged) => void gauges.cable(side, plugged)}
          plugged={view.gauges[side]?.plugged ?? true}
        />
      ))}
      {(out.length > 0 || view.silent) && (
        <span role="alert" className="font-semibold text-warn">
          ▲ {view.silent ? 'No signal from the gauges' : `${out.map(sideName).join(' and ')} gauge is out`}: it goes on,
          rate the effort after the set.
        </span>
      )}
    </div>
  );
}

function sideName(side: Side): string {
  return side === 'LEFT' ? 'Left' : 'Right';
}

type ReadingProps = {
  side: Side;
  newtons: number | undefined;
  full: number | undefined;
  plugged: boolean;
  cable: (plugged: boolean) => void;
};

function Reading({ side, newtons, full, plugged, cable }: ReadingProps) {
  return (
    <span className="tabular-nums">
      {side === 'LEFT' ? '━' : '╍'} {sideName(side)}{' '}
      <span className="text-xl font-bold">
        {newtons === undefined
          ? '–'
          : full === undefined
            ? `${Math.round(newtons)} N`
            : `${Math.max(0, Math.round((100 * newtons) / full))} %`}
      </span>{' '}
      <button className="py-1 text-sm text-soft underline" onClick={() => cable(!plugged)}>
        {plugged ? 'pull the cable' : 'plug it in'}
      </button>
    </span>
  );
}
