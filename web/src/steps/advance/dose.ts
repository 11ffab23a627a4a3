import type { Schemas } from '../../shared/api/client';
import { amount } from '../../shared/units';

/** What differs between two doses. */
export function difference(changes: Schemas['Change'][]): string {
  const parts = changes.map((c) => `${c.what} ${amount(c.from, c.unit)} → ${amount(c.to, c.unit)}`);
  return parts.length > 0 ? parts.join(', ') : 'dose unchanged';
}
