import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, ask, type Finding, type Schemas } from '../../../shared/api/client';
import { FigureView } from '../../../shared/draw/FigureView';
import { Button } from '../../../shared/ui/Button';
import { FieldFinding } from '../../../shared/ui/Findings';
import { JointFields } from './JointFields';
import { withPose, type Change, type Own } from './own';
import { pointWords } from './points';

type Tried = Schemas['Tried'];
type Props = { own: Own; tried: Tried | undefined; findings: Finding[]; change: Change };

const TURN = 15;

/** The body that is posed: points are pulled, the view is turned, and every joint's angles can be typed. */
export function Mannequin({ own, tried, findings, change }: Props) {
  const [pulled, setPulled] = useState<{ of: Own['pose']; tried: Tried } | null>(null);
  const shown = pulled?.of === own.pose ? pulled.tried : tried;
  const pull = usePull(own, (pose, now) => {
    setPulled({ of: pose, tried: now });
    change((o) => ({ ...o, pose }));
  });
  const turn = (right: number, up: number) =>
    change((o) =>
      withPose(o, {
        view: {
          azimuth: (o.pose.view.azimuth + right) % 360,
          elevation: Math.max(-10, Math.min(85, o.pose.view.elevation + up)),
        },
      }),
    );
  return (
    <section aria-label="Figure">
      {shown?.figure ? (
        <Body figure={shown.figure} handles={shown.handles} label={own.position.name} pull={pull} />
      ) : (
        <p className="h-[50vh] content-center text-center text-soft">No body can lie like this yet.</p>
      )}
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <span className="text-sm text-soft">Seen from {shown?.figure?.seenFrom ?? '…'}</span>
        <Button onClick={() => turn(-TURN, 0)}>Left</Button>
        <Button onClick={() => turn(TURN, 0)}>Right</Button>
        <Button onClick={() => turn(0, TURN)}>Higher</Button>
        <Button onClick={() => turn(0, -TURN)}>Lower</Button>
      </div>
      {findings
        .filter((f) => f.path.startsWith('pose'))
        .map((f) => (
          <FieldFinding key={f.path + f.code} findings={[f]} path={f.path} />
        ))}
      <JointFields own={own} change={change} />
    </section>
  );
}

type To = { spot: string; x: number; y: number };

/** One pull at a time is on its way; what was pulled meanwhile goes next, and only the last of it. */
function usePull(own: Own, done: (pose: Own['pose'], tried: Tried) => void) {
  const next = useRef<To | null>(null);
  const send = useMutation({
    mutationFn: ({ of, to }: { of: Own; to: To }) =>
      ask(api.POST('/api/own-positions/pull', { body: { own: of, ...to } })),
    onSuccess: ({ pose, tried }, { of }) => {
      done(pose, tried);
      const to = next.current;
      next.current = null;
      if (to) send.mutate({ of: { ...of, pose }, to });
    },
    onError: () => (next.current = null),
  });
  return (spot: string, x: number, y: number) => {
    if (send.isPending) next.current = { spot, x, y };
    else send.mutate({ of: own, to: { spot, x, y } });
  };
}

type BodyProps = {
  figure: Schemas['Figure'];
  handles: Schemas['Handle'][];
  label: string;
  pull: (spot: string, x: number, y: number) => void;
};

const STEP = 2;

function Body({ figure, handles, label, pull }: BodyProps) {
  const drawing = useRef<SVGSVGElement>(null);
  const [held, hold] = useState<{ spot: string; box: Schemas['Box'] } | null>(null);
  // The paper stays still while a limb is pulled over it.
  const { left, right, top, bottom } = held?.box ?? figure.box;
  const at = (e: React.PointerEvent) => {
    const to = drawing.current?.getScreenCTM()?.inverse();
    return to && new DOMPoint(e.clientX, e.clientY).matrixTransform(to);
  };
  return (
    <div className="relative h-[50vh] touch-none">
      <FigureView figure={{ ...figure, box: { left, right, top, bottom } }} label={label} className="h-[50vh]" />
      <svg
        ref={drawing}
        viewBox={`${left} ${-top} ${right - left} ${top - bottom}`}
        className="absolute inset-0 size-full"
        onPointerMove={(e) => {
          const point = held && at(e);
          if (point) pull(held.spot, point.x, -point.y);
        }}
        onPointerUp={() => hold(null)}
      >
        {handles.map((h) => (
          <circle
            key={h.spot}
            cx={h.x}
            cy={-h.y}
            r={2.6}
            className="cursor-grab fill-mark/40 stroke-mark focus:fill-mark"
            strokeWidth={0.7}
            role="button"
            tabIndex={0}
            aria-label={`${pointWords(h.spot)}: pull it, or move it with the arrow keys`}
            onPointerDown={(e) => {
              drawing.current?.setPointerCapture(e.pointerId);
              hold({ spot: h.spot, box: figure.box });
            }}
            onKeyDown={(e) => {
              const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[e.key];
              if (!by) return;
              e.preventDefault();
              pull(h.spot, h.x + STEP * (by[0] ?? 0), h.y + STEP * (by[1] ?? 0));
            }}
          />
        ))}
      </svg>
    </div>
  );
}
