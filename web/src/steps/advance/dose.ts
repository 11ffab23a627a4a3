import type { Schemas } from '../../shared/api/client';

const PARTS: [keyof Schemas['Dose'], string, string][] = [
  ['angle', 'angle', '°'],
  ['ceiling', 'ceiling', ' %'],
  ['topHoldSeconds', 'top hold', ' s'],
  ['sets', 'sets', ''],
  ['supportedHoldSeconds', 'supported', ' s'],
  ['handsOffSeconds', 'hands-off', ' s'],
];

/** What differs between two doses. */
export function difference(before: Schemas['Dose'], after: Schemas['Dose']): string {
  const parts = PARTS.filter(([key]) => before[key] !== after[key]).map(
    ([key, name, unit]) => `${name} ${Number(before[key].toFixed(1))} → ${Number(after[key].toFixed(1))}${unit}`,
  );
  return parts.length > 0 ? parts.join(', ') : 'dose unchanged';
}
