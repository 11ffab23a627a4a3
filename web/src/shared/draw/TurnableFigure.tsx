import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, ask, type Schemas, type Side } from '../api/client';
import { FigureView, type Figure } from './FigureView';

type View = Schemas['View'];

/** What is drawn; without a client it is nobody's body. */
export type Drawn = {
  clientId?: string;
  position: string;
  motion?: string;
  side?: Side;
  angle?: number;
  landmarks?: boolean;
};

const STEP = 15;

function seen({ clientId, position, ...rest }: Drawn, view: View | null): Promise<Figure> {
  const query = { ...rest, ...view };
  return clientId === undefined
    ? ask(api.GET('/api/positions/{positionId}/figure', { params: { path: { positionId: position }, query } }))
    : ask(
        api.GET('/api/clients/{clientId}/positions/{positionId}/figure', {
          params: { path: { clientId, positionId: position }, query },
        }),
      );
}

/** @param figure as it was sent already; without it, it is asked for */
type Props = { figure?: Figure; of: Drawn; label: string; className?: string };

/** A position that is turned by dragging it, or with the arrow keys; a double click turns it back. */
export function TurnableFigure({ figure, of, label, className }: Props) {
  const [view, setView] = useState<View | null>(null);
  const grip = useRef<{ x: number; y: number; from: View } | null>(null);
  const turned = useQuery({
    queryKey: ['figure', of, view],
    queryFn: () => seen(of, view),
    enabled: view !== null || !figure,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 60_000,
  });
  // What cannot be drawn leaves the last good picture.
  const [good, keep] = useState(figure);
  if (turned.data && turned.data !== good) keep(turned.data);
  const shown = view || !figure ? (turned.data ?? good) : figure;
  if (!shown) return null;
  const now = view ?? shown.view;
  const turn = (from: View, right: number, up: number) =>
    setView({
      azimuth: Math.round(from.azimuth - right) % 360,
      elevation: Math.max(-10, Math.min(85, Math.round(from.elevation + up))),
    });
  return (
    <div
      role="application"
      aria-label={`${label}, turned with the arrow keys`}
      tabIndex={0}
      className="cursor-grab touch-none active:cursor-grabbing"
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        grip.current = { x: e.clientX, y: e.clientY, from: now };
      }}
      onPointerMove={(e) => {
        if (grip.current) turn(grip.current.from, (e.clientX - grip.current.x) / 2, (e.clientY - grip.current.y) / 2);
      }}
      onPointerUp={() => (grip.current = null)}
      onDoubleClick={() => setView(null)}
      onKeyDown={(e) => {
        const by = { ArrowLeft: [STEP, 0], ArrowRight: [-STEP, 0], ArrowUp: [0, STEP], ArrowDown: [0, -STEP] }[e.key];
        if (!by) return;
        e.preventDefault();
        turn(now, by[0] ?? 0, by[1] ?? 0);
      }}
    >
      <FigureView figure={shown} label={label} className={className} />
    </div>
  );
}
