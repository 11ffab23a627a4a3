import type { Schemas } from '../../../shared/api/client';

export type Reference = Schemas['FloorReference'];

export function referenceWords(r: Reference, floor: Schemas['Floor']): string {
  const position = floor.lines.length > 1 ? floor.lines.find((l) => l.line === r.line)?.position : undefined;
  return [position, `${r.side === 'LEFT' ? 'left' : 'right'} ${r.direction === 'PRESS' ? 'press' : 'pull'}`]
    .filter(Boolean)
    .join(', ');
}
