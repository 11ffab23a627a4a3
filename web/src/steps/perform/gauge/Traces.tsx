import { useQuery } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../../../shared/api/client';
import { perPercent, Stair } from '../../../shared/draw/Stair';
import { fixed, words } from '../../../shared/units';
import type { Phase } from '../run';
import { withVariants } from '../variants';

const HEIGHT = 120;

type Trace = Schemas['TraceView'];

export function useTraces(runId: string) {
  return useQuery({
    queryKey: ['traces', runId],
    queryFn: () => ask(api.GET('/api/runs/{runId}/traces', { params: { path: { runId } } })),
  });
}

/** What the gauges saw, block by block: drawn over the staircase as it was run, and in numbers. */
export function Traces({ floor }: { floor: Schemas['Floor'] }) {
  const traces = useTraces(floor.id);
  if (!traces.data || traces.data.length === 0) return null;
  return (
    <section className="mt-8">
      <h2 className="mb-2 text-xl font-bold">What the gauges saw</h2>
      <div className="grid gap-6 lg:grid-cols-2">
        {traces.data.map((t) => (
          <OneTrace
            key={t.id}
            trace={t}
            label={floor.labels[t.blockId] ?? ''}
            phases={withVariants(floor, (id) => id === t.blockId).filter((p) => p.blockId === t.blockId)}
          />
        ))}
      </div>
    </section>
  );
}

function OneTrace({ trace, label, phases }: { trace: Trace; label: string; phases: Phase[] }) {
  const run = asRun(phases, trace.phaseSeconds);
  const end = run.at(-1)?.endSecond ?? 1;
  const a = trace.analysis;
  return (
    <article>
      <h3 className="font-semibold">
        {words(trace.side)} {label}
        {trace.referenceNewtons !== undefined && (
          <span className="font-normal text-soft"> · 100 % is {Math.round(trace.referenceNewtons)} N</span>
        )}
      </h3>
      <div className="relative h-28">
        <Stair phases={run} from={0} to={end} width={600} height={HEIGHT} label="The staircase as it was run" />
        {trace.referenceNewtons !== undefined && (
          <svg
            viewBox={`0 0 600 ${HEIGHT}`}
            preserveAspectRatio="none"
            className="absolute inset-0 h-full w-full"
            aria-hidden
          >
            <polyline
              points={drawn(trace, run, end)}
              fill="none"
              stroke="var(--ink)"
              strokeWidth={1.5}
              vectorEffect="non-scaling-stroke"
            />
          </svg>
        )}
      </div>
      {a ? <Numbers analysis={a} /> : <p className="text-soft">No 100 % was known, so it cannot be said in percent.</p>}
      {trace.findings.map((f) => (
        <p key={f.path} className="text-sm text-soft">
          △ {f.message}
        </p>
      ))}
    </article>
  );
}

function Numbers({ analysis: a }: { analysis: Schemas['TraceAnalysis'] }) {
  return (
    <>
      <p>
        <span className="text-2xl font-bold">{Math.round(100 * a.within)} %</span> of the time within 10 points, on the
        whole {fixed(a.rmse, 1)} points off
        {a.fade !== undefined && `; the top hold ${slope(a.fade)}`}
        {a.unsteadiness !== undefined && `, unsteady by ${fixed(a.unsteadiness, 1)} %`}
        {a.measured < 0.98 && `; ${Math.round(100 * (1 - a.measured))} % of it was not heard`}.
      </p>
      <table className="mt-1 w-full text-right text-sm">
        <thead className="text-soft">
          <tr>
            {['asked', 'mean', 'peak', 'reached after', 'within'].map((h) => (
              <th key={h} className="font-normal">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {a.steps.map((s, i) => (
            <tr key={i} className="border-t border-rule">
              <td>{Math.round(s.asked)} %</td>
              <td className="font-semibold">{Math.round(s.mean)} %</td>
              <td>{Math.round(s.peak)} %</td>
              <td>{s.reachedAfterSeconds === undefined ? 'never' : `${fixed(s.reachedAfterSeconds, 1)} s`}</td>
              <td>{Math.round(100 * s.within)} %</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

function slope(fade: number): string {
  if (Math.abs(fade) < 0.05) return 'level';
  return `${fade < 0 ? 'fades' : 'rises'} by ${fixed(Math.abs(fade), 1)} points a second`;
}

/** The phases as they were run, from 0. */
export function asRun(phases: Phase[], seconds: number[]): Phase[] {
  let at = 0;
  return phases.map((p, i) => {
    const startSecond = at;
    at += seconds[i] ?? 0;
    return { ...p, startSecond, endSecond: at };
  });
}

function drawn(trace: Trace, run: Phase[], end: number): string {
  const full = trace.referenceNewtons ?? 1;
  const scale = perPercent(HEIGHT);
  return trace.points
    .map(({ second, newtons }) => {
      const phase = run.find((p) => second < p.endSecond) ?? run.at(-1);
      const sign = phase?.direction === 'PULL' ? -1 : 1;
      return `${((second / end) * 600).toFixed(1)} ${(HEIGHT / 2 + (sign * scale * 100 * newtons) / full).toFixed(1)}`;
    })
    .join(' ');
}
