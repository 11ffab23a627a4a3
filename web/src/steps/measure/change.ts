import type { Schemas } from '../../shared/api/client';

/** Whether a change between two days is more than the noise of its readings, and how many trials those are of. */
export function changeSaid(change: Schemas['Difference']): string {
  const said = change.real ? 'a real change' : 'within measurement noise';
  return change.trialsThen === undefined
    ? said
    : `${said} (trials: ${change.trialsThen} then, ${change.trialsNow} now)`;
}
