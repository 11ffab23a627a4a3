import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import { FigureView } from './FigureView';
import type { Moved, Way } from './moving';

type Props = { of: Moved; way: Way; place: number; label: string; className?: string };

/** A body in movement, at a place on its way; where less motion is asked for it stays at one end. */
export function MovingFigure({ of, way, place, label, className }: Props) {
  const query = { ...of, way };
  const frames = useQuery({
    queryKey: ['moving', query],
    queryFn: () => ask(api.GET('/api/moving', { params: { query } })),
    staleTime: Infinity,
    retry: false,
  }).data?.frames;
  const at = matchMedia('(prefers-reduced-motion: reduce)').matches ? 0.99 : place;
  const figure = frames?.[Math.min(frames.length - 1, Math.floor(at * frames.length))];
  return figure && <FigureView figure={figure} label={label} className={className} />;
}
