import { on, SIDES, type Schemas, type Side } from './api/client';
import { words } from './units';

export type SideOrder = Schemas['Plan']['sides'];

/** Whether one dose, kept on the left, is for the whole body. */
export function isOne(sides: SideOrder): boolean {
  return sides === 'MIDLINE' || sides === 'TOGETHER';
}

export function sideWords(side: string, sides: SideOrder): string {
  return sides === 'MIDLINE' ? 'middle' : sides === 'TOGETHER' ? 'both together' : words(side);
}

/** The sides of a plan that have a dose. */
export function trainedSides({ sides, doses }: Schemas['Plan']): readonly Side[] {
  return isOne(sides) ? ['LEFT'] : SIDES.filter((side) => on(side, doses).blocks.length > 0);
}

/** Whether one side goes before the other. */
export function hasFirst(sides: SideOrder): boolean {
  return !isOne(sides) && sides !== 'LEFT' && sides !== 'RIGHT';
}
