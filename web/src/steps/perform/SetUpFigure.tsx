import { on, type Side } from '../../shared/api/client';
import { FigureView } from '../../shared/draw/FigureView';
import type { FloorLine } from './setUp';

/** How a side lies, drawn at its angle with its props, so that they are placed by looking. */
export function SetUpFigure({ line, side, className }: { line: FloorLine; side: Side; className: string }) {
  if (!line.figures) return null;
  return <FigureView figure={on(side, line.figures)} label={line.position} className={className} />;
}
