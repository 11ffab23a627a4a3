import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, type Schemas, type Side } from '../../../shared/api/client';
import { clock } from '../../../shared/units';
import { Button } from '../../../shared/ui/Button';
import { asRun, useTraces } from '../gauge/Traces';
import type { Point } from '../gauge/recorder';
import { useDarkScreen } from '../darkScreen';
import { Now } from '../floor/Now';
import * as Runs from '../run';
import { withVariants } from '../variants';

const SPEEDS = [1, 2, 4, 8];
const DRAW_MS = 50;
/** The page draws itself anew at each tick: nobody has to be told. */
const NEVER = () => () => undefined;

/** A session as it was really run, with what the gauges gave, at one to eight times its speed. */
export function ReplayPage() {
  const { runId = '' } = useParams();
  const path = { params: { path: { runId } } };
  const floor = useQuery({
    queryKey: ['floor-head', runId],
    queryFn: () => ask(api.GET('/api/runs/{runId}', path)),
  });
  const blocks = useQuery({
    queryKey: ['blocks', runId],
    queryFn: () => ask(api.GET('/api/runs/{runId}/blocks', path)),
  });
  const traces = useTraces(runId);
  useDarkScreen();
  const error = floor.error ?? blocks.error ?? traces.error;
  if (error) return <p className="p-8 text-2xl">{error.message}</p>;
  if (!floor.data || !blocks.data || !traces.data) return <p className="p-8 text-2xl text-soft">One moment…</p>;
  return <Replay floor={floor.data} blocks={blocks.data} traces={traces.data} />;
}

type Props = { floor: Schemas['Floor']; blocks: Schemas['BlockRecord'][]; traces: Schemas['TraceView'][] };

function Replay({ floor, blocks, traces }: Props) {
  const phases = useMemo(() => really(floor, blocks), [floor, blocks]);
  const points = useMemo(() => onTimeline(phases, traces), [phases, traces]);
  const references = useMemo(() => known(phases, traces), [phases, traces]);
  const [speed, setSpeed] = useState(1);
  const [run, setRun] = useState(() => Runs.begin(phases, [], 0));
  const [now, setNow] = useState(0);
  // Drawn from the virtual clock: what has ended by then is passed.
  const shown = useMemo(() => Runs.advance(run, now).run, [run, now]);
  const playing = shown.pausedAt === null && !shown.finished;
  useEffect(() => {
    if (!playing) return;
    let last = performance.now();
    const timer = setInterval(() => {
      const by = (performance.now() - last) * speed;
      last = performance.now();
      setNow((n) => n + by);
    }, DRAW_MS);
    return () => clearInterval(timer);
  }, [speed, playing]);
  const length = phases.at(-1)?.endSecond ?? 0;
  if (length === 0)
    return <p className="p-8 text-2xl">Nothing of this session was done: there is nothing to replay.</p>;
  const at = Runs.markerAt(shown, now);
  const seek = (second: number) => {
    const index = Math.max(
      0,
      phases.findIndex((p) => p.endSecond > second),
    );
    const into = second - (phases[index]?.startSecond ?? 0);
    setRun({
      ...Runs.begin(phases, [], now),
      index,
      startedAt: now - into * 1000,
      pausedAt: shown.pausedAt === null ? null : now,
    });
  };
  const toggle = () => {
    if (shown.finished) setRun({ ...Runs.begin(phases, [], now), pausedAt: null });
    else setRun(playing ? Runs.pause(shown, now) : Runs.resume(shown, now));
  };
  return (
    <div className="flex min-h-dvh flex-col gap-2 bg-paper px-3 py-2 sm:px-6">
      <header className="flex flex-wrap items-center gap-x-5 text-soft">
        <Link to={`/runs/${floor.id}/close`} className="font-semibold text-ink hover:underline">
          {floor.clientName}: back to the record
        </Link>
        <span>
          replay, {clock(at)} of {clock(length)}
        </span>
      </header>
      <Now run={shown} moments={{ subscribe: NEVER, now: () => now }} floor={{ ...floor, references }} trace={points} />
      <label className="flex items-center gap-3 text-soft">
        <span className="sr-only">Second of the session</span>
        <input
          type="range"
          className="w-full"
          min={0}
          max={Math.floor(length)}
          value={Math.floor(at)}
          onChange={(e) => seek(Number(e.target.value))}
        />
      </label>
      <div className="flex flex-wrap gap-2 pb-2 text-lg">
        <Button look="main" onClick={toggle}>
          {playing ? 'Pause' : shown.finished ? 'From the start' : 'Play'}
        </Button>
        <div role="radiogroup" aria-label="Speed" className="flex gap-1">
          {SPEEDS.map((s) => (
            <button
              key={s}
              role="radio"
              aria-checked={s === speed}
              className={`min-h-11 min-w-14 border border-rule ${s === speed ? 'bg-ink font-bold text-paper' : 'bg-card'}`}
              onClick={() => setSpeed(s)}
            >
              {s}×
            </button>
          ))}
        </div>
      </div>
    </div>
  );
}

/** The timeline with its real seconds; what was not done is left out. */
function really(floor: Schemas['Floor'], blocks: Schemas['BlockRecord'][]): Runs.Phase[] {
  const done = new Map(blocks.map((b) => [b.blockId, b.phases]));
  const phases = withVariants(floor, (id) => done.has(id));
  const nth = new Map<string, number>();
  const seconds = phases.map((p) => {
    const n = nth.get(p.blockId) ?? 0;
    nth.set(p.blockId, n + 1);
    return Runs.isAside(p) ? p.endSecond - p.startSecond : (done.get(p.blockId)?.[n]?.doneSeconds ?? 0);
  });
  return asRun(phases, seconds).filter((p) => p.endSecond > p.startSecond);
}

/** Traces from their block's start to the session's. */
function onTimeline(phases: Runs.Phase[], traces: Schemas['TraceView'][]): Map<Side, Point[]> {
  const points = new Map<Side, Point[]>();
  for (const phase of phases.filter((p, i) => phases.findIndex((q) => q.blockId === p.blockId) === i)) {
    for (const trace of traces.filter((t) => t.blockId === phase.blockId)) {
      const line = points.get(trace.side) ?? [];
      line.push(...trace.points.map((p) => ({ second: phase.startSecond + p.second, newtons: p.newtons })));
      points.set(trace.side, line);
    }
  }
  return points;
}

/** What 100 % was on that day. */
function known(phases: Runs.Phase[], traces: Schemas['TraceView'][]): Schemas['FloorReference'][] {
  return traces.flatMap((t) => {
    const phase = phases.find((p) => p.blockId === t.blockId && p.direction !== 'NONE');
    return phase && phase.direction !== 'NONE' && t.referenceNewtons !== undefined
      ? [
          {
            line: phase.line,
            side: t.side,
            direction: phase.direction,
            degrees: 0,
            newtons: t.referenceNewtons,
            why: '',
            allowed: false,
          },
        ]
      : [];
  });
}
