import { useEffect, useRef } from 'react';
import { SIDES, type Schemas, type Side } from '../../../shared/api/client';
import { perPercent } from '../../../shared/draw/Stair';
import type { Phase } from '../run';
import type { Point } from './recorder';

const BAND_POINTS = 10;

type Props = {
  phases: Phase[];
  from: number;
  to: number;
  /** In which the staircase under it is drawn, before it is stretched. */
  stairHeight: number;
  references: Schemas['FloorReference'][];
  points: Map<Side, Point[]>;
};

/** The live force drawn over the staircase, with the band of ± 10 points about what is asked. Drawn beside React, at each frame. */
export function TraceCanvas({ phases, from, to, stairHeight, references, points }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!canvas.current || !context) return;
    const style = getComputedStyle(canvas.current);
    const pen = {
      context,
      mark: style.getPropertyValue('--mark'),
      ink: style.getPropertyValue('--ink'),
      phases,
      from,
      to,
      stairHeight,
      references,
    };
    let frame = 0;
    let drawn = -1;
    const draw = () => {
      frame = requestAnimationFrame(draw);
      const size = [...points.values()].reduce((sum, p) => sum + p.length + (p.at(-1)?.second ?? 0), 0);
      if (size === drawn || !canvas.current) return;
      drawn = size;
      fit(canvas.current);
      context.clearRect(0, 0, canvas.current.width, canvas.current.height);
      bands(pen);
      SIDES.forEach((side) => line(pen, side, points.get(side) ?? []));
      canvas.current.dataset['second'] = String(Math.max(...SIDES.map((s) => points.get(s)?.at(-1)?.second ?? 0)));
    };
    draw();
    return () => cancelAnimationFrame(frame);
  }, [phases, from, to, stairHeight, references, points]);
  return <canvas ref={canvas} className="absolute inset-0 h-full w-full" data-testid="trace" aria-hidden />;
}

type Pen = Omit<Props, 'points'> & { context: CanvasRenderingContext2D; mark: string; ink: string };

function fit(canvas: HTMLCanvasElement) {
  const width = Math.round(canvas.clientWidth * devicePixelRatio);
  const height = Math.round(canvas.clientHeight * devicePixelRatio);
  if (canvas.width !== width || canvas.height !== height) {
    canvas.width = width;
    canvas.height = height;
  }
}

/** The same axis and scale as the staircase under it. */
function place(pen: Pen) {
  const { width, height } = pen.context.canvas;
  const span = Math.max(1, pen.to - pen.from);
  const scale = (perPercent(pen.stairHeight) / pen.stairHeight) * height;
  return {
    x: (second: number) => ((second - pen.from) / span) * width,
    y: (percent: number, press: boolean) => height / 2 + (press ? 1 : -1) * percent * scale,
  };
}

function bands(pen: Pen) {
  const { x, y } = place(pen);
  pen.context.fillStyle = pen.mark;
  pen.context.globalAlpha = 0.18;
  for (const p of pen.phases) {
    if (p.direction === 'NONE') continue;
    const press = p.direction === 'PRESS';
    pen.context.beginPath();
    pen.context.moveTo(x(p.startSecond), y(p.effortFrom - BAND_POINTS, press));
    pen.context.lineTo(x(p.endSecond), y(p.effortTo - BAND_POINTS, press));
    pen.context.lineTo(x(p.endSecond), y(p.effortTo + BAND_POINTS, press));
    pen.context.lineTo(x(p.startSecond), y(p.effortFrom + BAND_POINTS, press));
    pen.context.fill();
  }
  pen.context.globalAlpha = 1;
}

function line(pen: Pen, side: Side, points: Point[]) {
  const { context } = pen;
  const { x, y } = place(pen);
  context.strokeStyle = pen.ink;
  context.lineWidth = 2 * devicePixelRatio;
  context.setLineDash(side === 'RIGHT' ? [6 * devicePixelRatio, 4 * devicePixelRatio] : []);
  context.beginPath();
  let open = false;
  let at = 0;
  for (const p of points) {
    if (p.second < pen.from || p.second > pen.to) continue;
    while (at < pen.phases.length - 1 && (pen.phases[at]?.endSecond ?? 0) <= p.second) at++;
    const phase = pen.phases[at];
    const full = phase && phase.direction !== 'NONE' ? newtonsOf(pen.references, phase, side) : undefined;
    if (!phase || full === undefined) {
      open = false;
      continue;
    }
    const to = [x(p.second), y((100 * p.newtons) / full, phase.direction === 'PRESS')] as const;
    if (open) context.lineTo(...to);
    else context.moveTo(...to);
    open = true;
  }
  context.stroke();
}

/** What 100 % is for a side in a phase. */
export function newtonsOf(references: Schemas['FloorReference'][], phase: Phase, side: Side): number | undefined {
  return references.find((r) => r.line === phase.line && r.side === side && r.direction === phase.direction)?.newtons;
}
