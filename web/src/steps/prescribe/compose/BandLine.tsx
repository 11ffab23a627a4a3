import { fixed, length } from '../../../shared/units';
import { useState } from 'react';
import { useMutation } from '@tanstack/react-query';
import { api, ask, findingsOf, type Schemas } from '../../../shared/api/client';
import { Button } from '../../../shared/ui/Button';
import { Failure, FieldFinding } from '../../../shared/ui/Findings';
import { NumberField } from '../../../shared/ui/NumberField';
import type { Band } from './edit';

type Readings = { cm1: number | null; newtons1: number | null; cm2: number | null; newtons2: number | null };

const FIELDS: [keyof Readings, string, string][] = [
  ['cm1', 'At a length of', 'cm'],
  ['newtons1', 'it pulls', 'N'],
  ['cm2', 'At a longer one of', 'cm'],
  ['newtons2', 'it pulls', 'N'],
];

type Props = { wantedKg: number | null; take: (band: Band) => void };

/** A band read with a scale at two lengths: force over length, and the length that stands for a load. */
export function BandLine({ wantedKg, take }: Props) {
  const [readings, set] = useState<Readings>({ cm1: null, newtons1: null, cm2: null, newtons2: null });
  const [kg, setKg] = useState<number | null>(wantedKg);
  const { cm1, newtons1, cm2, newtons2 } = readings;
  const full = cm1 !== null && newtons1 !== null && cm2 !== null && newtons2 !== null;
  const draw = useMutation({
    mutationFn: () => {
      if (!full) throw new Error('Both lengths and both forces are needed.');
      const body = { cm1, newtons1, cm2, newtons2, ...(kg === null ? {} : { wantedKg: kg }) };
      return ask(api.POST('/api/bands/line', { body }));
    },
  });
  const findings = findingsOf(draw.error);
  return (
    <div>
      <div className="grid grid-cols-2 gap-x-4 gap-y-2">
        {FIELDS.map(([name, label, unit]) => (
          <NumberField
            key={name}
            label={label}
            unit={unit}
            value={readings[name]}
            onChange={(v) => set((r) => ({ ...r, [name]: v }))}
            path={name}
            findings={findings}
          />
        ))}
        <NumberField label="In place of" unit="kg" step={0.5} value={kg} onChange={setKg} />
      </div>
      <Button className="mt-2" onClick={() => draw.mutate()} disabled={!full || draw.isPending}>
        Draw the band
      </Button>
      <FieldFinding findings={findings} path="band" />
      <Failure error={findings.length > 0 ? null : draw.error} />
      {draw.data && (
        <>
          <Force line={draw.data} />
          <Button
            className="mt-2"
            onClick={() => take({ ...draw.data, cm: draw.data.wanted?.cm ?? cm2 ?? draw.data.slackCm })}
          >
            Pull against this band
          </Button>
        </>
      )}
    </div>
  );
}

const W = 260;
const H = 120;

function Force({ line }: { line: Schemas['BandLine'] }) {
  const last = line.points[line.points.length - 1];
  if (!last) return null;
  const far = Math.max(last.cm, line.wanted?.cm ?? 0);
  const top = Math.max(last.newtons, line.wanted?.newtons ?? 0);
  const x = (cm: number) => 8 + ((cm - line.slackCm) / (far - line.slackCm)) * (W - 60);
  const y = (newtons: number) => H - 18 - (newtons / top) * (H - 34);
  return (
    <figure className="mt-2">
      <svg
        viewBox={`0 0 ${W} ${H}`}
        className="w-full max-w-sm"
        role="img"
        aria-label="Force of the band by its length"
      >
        <line x1={8} x2={W - 8} y1={y(0)} y2={y(0)} stroke="var(--rule)" />
        <polyline
          points={line.points.map((p) => `${x(p.cm)} ${y(p.newtons)}`).join(' ')}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={2}
        />
        {[line.points[0], line.points[4], last].map(
          (p) =>
            p && (
              <text key={p.cm} x={x(p.cm)} y={H - 4} className="fill-soft text-[10px]">
                {length(Math.round(p.cm))}
              </text>
            ),
        )}
        <text x={x(last.cm) + 4} y={y(last.newtons) + 4} className="fill-soft text-[10px]">
          {Math.round(last.newtons)} N
        </text>
        {line.wanted && <circle cx={x(line.wanted.cm)} cy={y(line.wanted.newtons)} r={4} fill="var(--press)" />}
      </svg>
      <figcaption>
        Slack up to {length(line.slackCm)}, then {fixed(line.newtonsPerCm, 1)} N a centimetre.
        {line.wanted && (
          <>
            {' '}
            For {Math.round(line.wanted.newtons)} N stretch it to{' '}
            <span className="text-lg font-bold">{length(line.wanted.cm)}</span>.
          </>
        )}
      </figcaption>
    </figure>
  );
}
