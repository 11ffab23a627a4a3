import { plain } from '../../shared/finding';
import type { Schemas } from '../../shared/api/client';
import { words } from '../../shared/units';

type ClientDay = Schemas['ClientDay'];
export type Order = 'need' | 'due' | 'name';

/** What a client needs, in a few words. */
export const NEEDS: Record<ClientDay['state'], string> = {
  STOP: 'Stopped',
  DECIDE: 'A decision',
  DUE: 'Due today',
  AWAY: 'Has gone quiet',
  NEW: 'New',
  QUIET: 'Nothing today',
};

/** Those that fit what was typed. The server has them by need already. */
export function ordered(clients: ClientDay[], typed: string, order: Order): ClientDay[] {
  const wanted = plain(typed).split(' ').filter(Boolean);
  const hits = clients.filter((c) => {
    const text = plain(`${c.name} ${c.goal} ${c.lines.map((l) => words(l.motion)).join(' ')}`);
    return wanted.every((w) => text.includes(w));
  });
  if (order === 'need') return hits;
  const byName = hits.sort((a, b) => a.name.localeCompare(b.name));
  return order === 'name' ? byName : byName.sort((a, b) => soonest(a).localeCompare(soonest(b)));
}

/** Sorts after every date where nothing is planned. */
function soonest({ plan }: ClientDay): string {
  return plan.today && !plan.today.over ? plan.today.date : (plan.next ?? 'none');
}
