import { lazy, Suspense, useMemo } from 'react';
import { on, type Schemas, type Side } from '../../../shared/api/client';
import { Stair } from '../../../shared/draw/Stair';
import { BreathPacer } from './BreathPacer';
import { CircleRing } from './CircleRing';
import { Going } from './Going';
import type { Point } from '../gauge/recorder';
import { useMoment, type Moments } from './moments';
import * as Runs from '../run';
import { SetUpFigure } from '../SetUpFigure';
import { lineOf, sideWords, apparatusWords, usedWords, soon, type FloorLine } from '../setUp';

/** What to do now, readable from three metres: side, digits, verb, where on the staircase, what comes. */
const STAIR_HEIGHT = 160;
const TraceCanvas = lazy(() => import('../gauge/TraceCanvas').then((m) => ({ default: m.TraceCanvas })));

type Props = {
  run: Runs.Run;
  moments: Moments;
  floor: Schemas['Floor'];
  trace?: Map<Side, Point[]> | undefined;
  /** Absent where nothing can be changed any more. */
  changeProp?: () => void;
};

export function Now({ run, moments, floor, trace, changeProp }: Props) {
  const phase = Runs.current(run);
  const next = run.phases[run.index + 1];
  const left = useMoment(moments, (now) => Math.max(0, Math.ceil(Runs.lengthOf(run) - Runs.elapsed(run, now) - 0.001)));
  const lane = useMemo(() => run.phases.filter((p) => isBeside(p, phase)), [run.phases, phase]);
  const line = lineOf(floor.lines, phase);
  const ahead = soon(run, floor.lines, left);
  const circling = phase.kind === 'CIRCLE_ONE_WAY' || phase.kind === 'CIRCLE_OTHER_WAY';
  const breath = useMoment(moments, (now) => breathAt(phase, Runs.markerAt(run, now)));
  const [from, to] = [lane[0]?.startSecond ?? 0, lane[lane.length - 1]?.endSecond ?? 1];
  return (
    <div
      className="flex grow flex-col"
      data-testid="now"
      data-second={phase.startSecond}
      data-side={phase.side}
      data-block={phase.blockId}
    >
      <div className="flex flex-wrap items-baseline justify-between gap-x-5 text-xl sm:text-3xl">
        <span className="font-bold">{Runs.sideWord(phase.side)}</span>
        {phase.set > 0 && (
          <span>
            set {phase.set} of {phase.sets}
          </span>
        )}
        {phase.counts > 0 && phase.kind !== 'STEP' && (
          <span>
            {phase.count} of {phase.counts}
          </span>
        )}
        {line && changeProp && <Lying run={run} phase={phase} line={line} change={changeProp} />}
        {line && floor.lines.length > 1 && <span className="text-soft">{line.position}</span>}
        <BreathPacer breath={breath} />
      </div>
      <div className="flex grow flex-wrap items-center gap-x-8">
        <span
          className="text-[40vh] leading-[0.85] portrait:text-[25vh] font-bold"
          data-testid="digits"
          aria-live="off"
        >
          {left}
        </span>
        {circling && <Circle run={run} moments={moments} backwards={phase.kind === 'CIRCLE_OTHER_WAY'} />}
        <div className="min-w-0 flex-1 basis-72">
          <Verb phase={phase} />
          <p className="mt-1 text-xl text-soft sm:text-2xl">{next ? `next: ${next.cue}` : 'then the end'}</p>
          {ahead && <p className="text-xl font-semibold sm:text-2xl">prepare: {ahead}</p>}
          <Going run={run} moments={moments} line={line} />
          {line && isSettingUp(phase) && (
            <SetUpFigure line={line} side={phase.side} className="h-[20vh] portrait:h-[13vh]" />
          )}
        </div>
      </div>
      <div className="relative h-[20vh] min-h-20 portrait:h-[9vh]">
        <Stair
          phases={lane}
          from={from}
          to={to}
          width={1200}
          height={STAIR_HEIGHT}
          label="The staircase with where you are"
        />
        {trace && (
          <Suspense fallback={null}>
            <TraceCanvas
              phases={lane}
              from={from}
              to={to}
              stairHeight={STAIR_HEIGHT}
              references={floor.references}
              points={trace}
            />
          </Suspense>
        )}
        <Marker run={run} moments={moments} from={from} to={to} />
      </div>
    </div>
  );
}

/** How this side is set up; one tap says that it lies another way today. */
function Lying({
  run,
  phase,
  line,
  change,
}: {
  run: Runs.Run;
  phase: Runs.Phase;
  line: FloorLine;
  change: () => void;
}) {
  const apparatus = apparatusWords(on(phase.side, line.apparatus));
  if (on(phase.side, line.otherProps).length === 0 && !apparatus) return null;
  const other = Runs.lying(run, phase);
  const words = other ? `instead ${usedWords(other)}` : sideWords(line, phase.side);
  return (
    <button className={`underline decoration-2 ${other ? 'font-bold text-mark' : ''}`} onClick={change} title="h">
      {words}
    </button>
  );
}

function breathAt(phase: Runs.Phase, second: number): Schemas['BreathMark']['phase'] {
  return [...phase.breaths].reverse().find((b) => b.atSecond <= second)?.phase ?? 'SHALLOW';
}

type Moving = { run: Runs.Run; moments: Moments };

/** Moved by itself over the staircase, so that nothing else is painted anew. */
function Marker({ run, moments, from, to }: Moving & { from: number; to: number }) {
  const share = useMoment(moments, (now) => (Runs.markerAt(run, now) - from) / Math.max(1, to - from));
  if (share < 0 || share > 1) return null;
  return (
    <div
      className="pointer-events-none absolute inset-0 will-change-transform"
      style={{ transform: `translateX(${100 * share}%)` }}
    >
      <svg viewBox="-7 0 14 10" className="absolute -top-1 -left-2 w-4 fill-mark" aria-hidden>
        <path d="M-7 0h14l-7 10z" />
      </svg>
      <div className="absolute inset-y-0 -left-[1.5px] w-[3px] bg-mark" />
    </div>
  );
}

function Circle({ run, moments, backwards }: Moving & { backwards: boolean }) {
  const share = useMoment(moments, (now) => Runs.elapsed(run, now) / Runs.lengthOf(run));
  return <CircleRing share={share} backwards={backwards} />;
}

function isSettingUp(phase: Runs.Phase): boolean {
  return phase.block === 'SET_UP' || phase.block === 'SIDE_CHANGE';
}

/** Drawn together: a set, the repetitions of a block, or else all of a side. */
function isBeside(p: Runs.Phase, now: Runs.Phase): boolean {
  if (now.set === 0 && now.counts > 0) return p.blockId === now.blockId;
  return p.side === now.side && p.line === now.line && (now.set === 0 || p.set === now.set);
}

/** What to do: a ramp by its effort, everything else by its cue. */
function Verb({ phase }: { phase: Runs.Phase }) {
  const press = phase.direction === 'PRESS';
  const colour = phase.direction === 'NONE' ? '' : press ? 'text-press' : 'text-pull';
  const effort = `${press ? 'Press' : 'Pull'} ${phase.effortTo} %`;
  return phase.block === 'PRESS' || phase.block === 'PULL' ? (
    <div className={colour}>
      <p className="text-5xl font-bold sm:text-8xl">{effort}</p>
      <p className="text-xl text-ink sm:text-3xl">{phase.contact}</p>
    </div>
  ) : (
    <div className={colour}>
      <p className="text-4xl font-bold sm:text-6xl">{phase.cue}</p>
      {colour && (
        <p className="text-xl text-ink sm:text-3xl">{phase.block === 'CONTRACT_RELAX' ? phase.contact : effort}</p>
      )}
    </div>
  );
}
