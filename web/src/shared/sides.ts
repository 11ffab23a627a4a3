import { isOne, on, SIDES, type Schemas, type Side, type SideOrder } from './api/client';
import { words } from './units';

export function sideWords(side: string, sides: SideOrder): string {
  return sides === 'MIDLINE' ? 'middle' : sides === 'TOGETHER' ? 'both together' : words(side);
}

/** The sides of a plan that have a dose. */
export function trainedSides({ sides, doses }: Schemas['Plan']): readonly Side[] {
  return isOne(sides) ? ['LEFT'] : SIDES.filter((side) => on(side, doses).blocks.length > 0);
}
