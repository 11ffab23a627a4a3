import { marksOf } from '../restrictions';
import type { Schemas } from '../api/client';

type ClientDay = Schemas['ClientDay'];

/** The one thing that this client waits for. */
export function next(client: ClientDay): [string, string] {
  const line = client.lines.find((l) => l.openRun) ?? client.lines[0];
  if (line?.openRun) return [`/runs/${line.openRun}`, 'Continue the session'];
  if (line?.trouble && client.lines.every((l) => l.waiting === 0)) {
    return [`/clients/${client.id}/prescribe`, 'Prescribe'];
  }
  if (client.state === 'STOP' || client.state === 'DECIDE') return [`/clients/${client.id}/advance`, 'Decide'];
  if (client.state === 'NEW') {
    return client.lastMeasured
      ? [`/clients/${client.id}/prescribe`, 'Prescribe']
      : [`/clients/${client.id}/measure/bench`, 'Measure'];
  }
  if (client.state === 'AWAY') return [`/clients/${client.id}/week`, 'Look at the week'];
  return [`/clients/${client.id}/perform`, client.state === 'DUE' ? 'Start session' : 'Look'];
}

/** What to know before anything else. */
export function flagsOf(client: ClientDay): string[] {
  const pain = Math.max(0, ...client.lines.map((l) => l.recentPain ?? 0));
  return [...(pain > 0 ? [`pain ${pain}/10 this week`] : []), ...marksOf(client.restrictions, client.screeningDue)];
}
