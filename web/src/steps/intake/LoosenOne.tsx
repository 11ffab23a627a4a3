import { useState } from 'react';
import type { Schemas } from '../../shared/api/client';
import type { Restriction } from '../../shared/restrictions';
import { Button } from '../../shared/ui/Button';
import { NumberField } from '../../shared/ui/NumberField';
import { useCatalogue } from '../../shared/ui/useCatalogue';

export type Loosening = Schemas['Loosening'];

type Props = {
  restriction: Restriction;
  title: string;
  value: Loosening | undefined;
  onChange: (value: Loosening | undefined) => void;
};

/** One restriction that a clearance may lift, move, or turn into limits of angles. */
export function LoosenOne({ restriction: r, title, value, onChange }: Props) {
  const hasLimit = r.limit !== undefined;
  const blocksJoint = r.scope.joints.length === 1 && !hasLimit;
  return (
    <div className="py-1">
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-5 accent-(--ink)"
          checked={value !== undefined}
          onChange={(e) => onChange(e.target.checked ? { restriction: r.id, motionLimits: [] } : undefined)}
        />
        {title}
      </label>
      {value && hasLimit && (
        <div className="ml-8 w-64">
          <NumberField
            label="New limit; empty lifts it"
            value={value.limit ?? null}
            onChange={(limit) => onChange({ ...value, limit: limit ?? undefined })}
          />
        </div>
      )}
      {value && blocksJoint && (
        <MotionLimits
          joint={r.scope.joints[0] ?? ''}
          limits={value.motionLimits}
          onChange={(motionLimits) => onChange({ ...value, motionLimits })}
        />
      )}
    </div>
  );
}

type LimitsProps = {
  joint: string;
  limits: Loosening['motionLimits'];
  onChange: (limits: Loosening['motionLimits']) => void;
};

/** Angles that stand instead of the block. */
function MotionLimits({ joint, limits, onChange }: LimitsProps) {
  const catalogue = useCatalogue();
  const [motion, setMotion] = useState('');
  const motions = catalogue.data?.motions.filter((m) => m.joint === joint) ?? [];
  return (
    <div className="ml-8 space-y-2">
      {limits.map((l, i) => (
        <div key={l.motion} className="w-64">
          <NumberField
            label={`${motions.find((m) => m.id === l.motion)?.name ?? l.motion}, up to`}
            unit="°"
            value={l.degrees}
            onChange={(v) => onChange(limits.map((x, j) => (j === i ? { ...x, degrees: v ?? 0 } : x)))}
          />
        </div>
      ))}
      <div className="flex items-end gap-3">
        <label className="text-sm text-soft">
          Limit of a motion
          <select
            className="mt-1 block min-h-11 border border-rule bg-card px-2 text-ink"
            value={motion}
            onChange={(e) => setMotion(e.target.value)}
          >
            <option value="">pick one…</option>
            {motions
              .filter((m) => !limits.some((l) => l.motion === m.id))
              .map((m) => (
                <option key={m.id} value={m.id}>
                  {m.name}
                </option>
              ))}
          </select>
        </label>
        <Button
          disabled={motion === ''}
          onClick={() => {
            onChange([...limits, { motion, degrees: 0 }]);
            setMotion('');
          }}
        >
          Add
        </Button>
      </div>
    </div>
  );
}
