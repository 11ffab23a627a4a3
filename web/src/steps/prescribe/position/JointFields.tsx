import { useState } from 'react';
import { NumberField } from '../../../shared/ui/NumberField';
import { Ticks } from '../../../shared/ui/Ticks';
import { DrawnProps } from './DrawnProps';
import { withPose, type Change, type Own } from './own';
import { Pick } from '../../../shared/ui/Pick';
import { POINTS } from './points';

const SIDED = ['hip', 'knee', 'ankle', 'shoulder', 'elbow', 'wrist'];
const JOINTS: [string, string][] = [
  ...SIDED.map((j): [string, string] => [`${j}W`, `${j}, working side`]),
  ...SIDED.map((j): [string, string] => [`${j}O`, `${j}, other side`]),
  ...['pelvis', 'waist', 'chest', 'neck', 'head'].map((j): [string, string] => [j, j]),
];
const ANGLES = ['Flexion', 'Abduction', 'Rotation'];

const NOT_LYING = /^(calf|wrist|hip)/;
const LYING = POINTS.filter(([id]) => !NOT_LYING.test(id));

/** Every joint's three angles, and what lies on the floor. */
export function JointFields({ own, change }: { own: Own; change: Change }) {
  const [joint, pick] = useState('hipW');
  const { joints, contacts } = own.pose;
  const now = joints[joint] ?? [0, 0, 0];
  const set = (n: number, degrees: number) =>
    change((o) =>
      withPose(o, {
        joints: { ...o.pose.joints, [joint]: [0, 1, 2].map((i) => (i === n ? degrees : (now[i] ?? 0))) },
      }),
    );
  return (
    <details className="mt-3">
      <summary className="cursor-pointer font-semibold">Joint angles, what lies on the floor, and props</summary>
      <div className="mt-2 grid grid-cols-2 items-end gap-3 sm:grid-cols-4">
        <Pick label="Joint" value={joint} options={JOINTS} pick={pick} />
        {ANGLES.map((name, n) => (
          <NumberField key={joint + name} label={name} unit="°" value={now[n] ?? 0} onChange={(v) => set(n, v ?? 0)} />
        ))}
      </div>
      <div className="mt-3">
        <Ticks
          label="Lies on the floor"
          value={Object.keys(contacts).filter((c) => LYING.some(([id]) => id === c))}
          options={LYING}
          onChange={(ids) =>
            change((o) => {
              const others = Object.entries(o.pose.contacts).filter(([c]) => !LYING.some(([id]) => id === c));
              const chosen = ids.map((id): [string, number] => [id, o.pose.contacts[id] ?? 0]);
              return withPose(o, { contacts: Object.fromEntries([...others, ...chosen]) });
            })
          }
        />
      </div>
      <DrawnProps own={own} change={change} />
      <label className="mt-3 flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          checked={own.pose.bothWork}
          onChange={(e) => change((o) => withPose(o, { bothWork: e.target.checked }))}
        />
        both sides move together
      </label>
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          checked={own.pose.swings}
          onChange={(e) => change((o) => withPose(o, { swings: e.target.checked }))}
        />
        a repetition goes over to the other side
      </label>
    </details>
  );
}
