import type { Finding } from '../../../shared/api/client';
import type { Phase } from './phases';

type Props = {
  phase: Phase;
  width: number;
  axis: number;
  scale: number;
  perSecond: number;
  selected: boolean;
  finding: Finding | undefined;
};

/** One phase from its own left edge: press goes down, pull rises with a slanted top, a hold is a band, movement a row of arcs. */
export function PhaseShape(props: Props) {
  const { phase, width, axis, selected, finding } = props;
  const quiet = phase.block === 'SET_UP' || phase.block === 'SIDE_CHANGE';
  return (
    <>
      <title>{`${phase.cue}, ${phase.endSecond - phase.startSecond} s`}</title>
      <rect y={4} width={width} height={2 * axis - 8} fill={selected ? 'var(--tread)' : 'transparent'} />
      <Shape {...props} />
      <Breath phase={phase} perSecond={props.perSecond} axis={axis} />
      {finding && phase.count <= 1 && phase.set <= 1 && (
        <text x={1} y={16} className="fill-warn text-[13px] font-bold">
          {finding.severity === 'BLOCKING' ? '▲' : '△'}
        </text>
      )}
      {!quiet && width > 3 && (
        <rect
          x={width - gripOf(width)}
          y={6}
          width={gripOf(width)}
          height={2 * axis - 12}
          fill="transparent"
          className="cursor-ew-resize"
          data-grip
        />
      )}
    </>
  );
}

/** Within its own phase: what reached into the next one would lie under it. */
function gripOf(width: number): number {
  return Math.min(8, width / 2);
}

function Shape({ phase, width, axis, scale }: Props) {
  if (phase.direction !== 'NONE') {
    const press = phase.direction === 'PRESS';
    const sign = press ? 1 : -1;
    const slant = press ? 0 : Math.min(4, width / 2);
    const from = axis + sign * phase.effortFrom * scale;
    const to = axis + sign * phase.effortTo * scale - slant;
    return (
      <path
        d={`M0 ${axis}V${from}L${width} ${to}V${axis}Z`}
        fill={press ? 'var(--press-fill)' : 'var(--pull-fill)'}
        stroke={press ? 'var(--press)' : 'var(--pull)'}
        strokeWidth={1.2}
      />
    );
  }
  switch (phase.block) {
    case 'SUPPORTED_HOLD':
    case 'RELEASE':
      return (
        <rect
          y={axis - 6}
          width={width}
          height={12}
          fill={phase.block === 'RELEASE' ? 'var(--tread)' : 'var(--rule)'}
          stroke="var(--soft)"
        />
      );
    case 'ROTATION':
    case 'TRANSITION':
      return (
        <ellipse
          cx={width / 2}
          cy={axis}
          rx={Math.max(1, width * 0.42)}
          ry={9}
          fill="none"
          stroke="var(--soft)"
          strokeWidth={1.4}
        />
      );
    case 'SET_UP':
    case 'SIDE_CHANGE':
    case 'PROP':
      return <line x1={0} x2={width} y1={axis} y2={axis} stroke="var(--card)" strokeWidth={3} strokeDasharray="3 4" />;
    case 'RE_MEASURE':
    case 'MOVEMENT_RETEST':
      return <path d={`M${width / 2} ${axis - 14}v28m-8 -14h16`} stroke="var(--soft)" strokeWidth={1.6} fill="none" />;
    default:
      return null;
  }
}

/** Breath marks below the line: a tick for each breath that is drawn in. */
function Breath({ phase, perSecond, axis }: { phase: Phase; perSecond: number; axis: number }) {
  if (perSecond < 0.7) return null;
  if (phase.inhales.length === 0) return null;
  const d = phase.inhales.map((second) => `M${second * perSecond} ${2 * axis - 5}v-4`).join('');
  return <path d={d} stroke="var(--soft)" strokeWidth={1} fill="none" />;
}
