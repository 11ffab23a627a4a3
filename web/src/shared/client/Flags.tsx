import type { Schemas } from '../api/client';
import { timeOf, weekday } from '../units';
import { flagsOf } from './next';

type ClientDay = Schemas['ClientDay'];

export function Flags({ client }: { client: ClientDay }) {
  const flags = flagsOf(client);
  return flags.length > 0 ? <p className="mt-1 text-sm font-semibold text-warn">▲ {flags.join(' · ')}</p> : null;
}

/** When they come, what is planned today, or when the next day is. */
export function Planned({ plan }: { plan: ClientDay['plan'] }) {
  const { today } = plan;
  const said = [
    plan.appointment ? `comes at ${timeOf(plan.appointment)}` : null,
    today ? `${today.over ? 'done' : `${today.minutes} min planned`} today` : null,
    plan.next ? `next ${weekday(plan.next)}` : null,
  ].filter((s) => s !== null);
  return said.length > 0 ? <p className="text-sm font-semibold">{said.join(' · ')}</p> : null;
}
