import { memo, useMemo, useRef, type PointerEvent } from 'react';
import type { Finding } from '../../../shared/api/client';
import { clock } from '../../../shared/units';
import { placeOf, spotOf, type Form, type Spot } from './edit';
import { BlockShapes } from './BlockShapes';
import { blocksOf, grip, type Grip, type Phase } from './phases';
import type { Preview } from './usePreview';

const LANE = 84;
const FORECAST = 38;
const RULER = 22;
const AXIS = LANE / 2;
const SCALE = (LANE / 2 - 9) / 100;

type Props = {
  formAt: (spot: Spot) => Form | undefined;
  preview: Preview;
  selected: Spot | null;
  perSecond: number;
  select: (spot: Spot) => void;
  drag: (spot: Spot, grip: NonNullable<Grip>, seconds: number) => void;
};

const SIDES: [Phase['side'], string][] = [
  ['LEFT', 'Left'],
  ['RIGHT', 'Right'],
];

/** The session as a score: time runs right, a lane a side, the strength that the model leaves as lines above. */
export const ScoreView = memo(function ScoreView({ formAt, preview, selected, perSecond, select, drag }: Props) {
  const { phases, forecast, findings } = preview;
  const seconds = phases.at(-1)?.endSecond ?? 0;
  const width = Math.max(300, seconds * perSecond);
  const x = (second: number) => second * perSecond;
  const dragging = useRef<{ spot: Spot; grip: NonNullable<Grip>; from: number; seconds: number } | null>(null);
  const blocks = useMemo(() => blocksOf(phases), [phases]);
  const marked = useMemo(() => new Map(findings.map((f) => [blockPlace(f.path), f])), [findings]);

  const press = (event: PointerEvent) => {
    const target = event.target as Element;
    const phase = phases[Number(target.closest('[data-phase]')?.getAttribute('data-phase') ?? -1)];
    const spot = phase && spotOf(phase.place);
    if (!spot) return;
    const form = formAt(spot);
    const held = target.hasAttribute('data-grip') && form ? grip(phase, form) : null;
    if (!held) return select(spot);
    target.setPointerCapture(event.pointerId);
    dragging.current = { spot, grip: held, from: event.clientX, seconds: phase.endSecond - phase.startSecond };
  };
  const pull = (event: PointerEvent) => {
    const d = dragging.current;
    if (!d) return;
    drag(d.spot, d.grip, Math.max(0, d.seconds + Math.round((event.clientX - d.from) / perSecond)));
  };
  const drop = () => {
    dragging.current = null;
  };
  const height = RULER + FORECAST + 2 * LANE + 8;
  return (
    <div className="overflow-x-auto border border-rule bg-card" data-testid="score">
      <svg
        width={width + 64}
        height={height}
        onPointerDown={press}
        onPointerMove={pull}
        onPointerUp={drop}
        role="group"
        aria-label="Score"
        className="will-change-transform"
      >
        <g transform="translate(52 0)">
          <Ruler seconds={seconds} x={x} />
          <g transform={`translate(0 ${RULER})`}>{forecast && <ForecastLines forecast={forecast} x={x} />}</g>
          {SIDES.map(([side, name], i) => (
            <g key={side} transform={`translate(0 ${RULER + FORECAST + i * LANE})`}>
              <text x={-46} y={AXIS + 4} className="fill-ink text-[13px] font-semibold">
                {name}
              </text>
              <line x1={0} x2={width} y1={AXIS} y2={AXIS} stroke="var(--ink)" strokeWidth={1.5} />
              {blocks.map((block) =>
                block.side === side || block.side === 'MIDLINE' ? (
                  <g key={block.first} transform={`translate(${x(block.startSecond)} 0)`}>
                    <BlockShapes
                      block={block}
                      axis={AXIS}
                      scale={SCALE}
                      perSecond={perSecond}
                      selected={selected !== null && block.place === placeOf(selected)}
                      finding={marked.get(block.place)}
                    />
                  </g>
                ) : null,
              )}
            </g>
          ))}
        </g>
      </svg>
    </div>
  );
});

function blockPlace(path: string): string {
  const spot = spotOf(path);
  return spot ? placeOf(spot) : path;
}

export function findingsAt(findings: Finding[], place: string): Finding[] {
  return findings.filter((f) => f.path === place || f.path.startsWith(`${place}.`));
}

function Ruler({ seconds, x }: { seconds: number; x: (s: number) => number }) {
  const every = x(60) < 70 ? 300 : 60;
  return (
    <g>
      {Array.from({ length: Math.floor(seconds / every) + 1 }, (_, i) => (
        <g key={i} transform={`translate(${x(i * every)} 0)`}>
          <line y1={14} y2={RULER + FORECAST + 2 * LANE} stroke="var(--rule)" strokeDasharray="2 6" />
          <text y={11} className="fill-soft text-[11px]">
            {clock(i * every)}
          </text>
        </g>
      ))}
    </g>
  );
}

const DASH: Record<string, string> = { LEFT: '', RIGHT: '5 3', MIDLINE: '1 3' };

/** Strength left, one line a side and a group of muscles; marks where more is asked. */
function ForecastLines({ forecast, x }: { forecast: NonNullable<Preview['forecast']>; x: (s: number) => number }) {
  const y = (percent: number) => FORECAST - 4 - (percent / 100) * (FORECAST - 8);
  return (
    <g>
      <text x={-46} y={14} className="fill-soft text-[11px]">
        strength
      </text>
      <text x={-46} y={26} className="fill-soft text-[11px]">
        left
      </text>
      <line x1={0} x2={x(0) + 1} y1={y(100)} y2={y(0)} stroke="var(--rule)" />
      {forecast.pools.map((pool) => (
        <polyline
          key={pool.motion + pool.side}
          points={pool.capacity.map((c, i) => `${x((i + 1) * forecast.everySeconds)} ${y(c)}`).join(' ')}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={1.2}
          strokeDasharray={DASH[pool.side]}
          opacity={0.75}
        />
      ))}
      {forecast.marks
        .filter((m) => !m.allOut)
        .map((m, i) => (
          <path
            key={i}
            d={`M${x(m.atSecond)} ${y(m.left) - 8}l5 8h-10z`}
            fill="var(--warn)"
            role="img"
            aria-label={`${m.asked} % asked, about ${Math.round(m.left)} % left`}
          />
        ))}
    </g>
  );
}
