import type { Schemas } from './api/client';
import { words } from './units';

export type Restriction = Schemas['Restriction'];
export type Kind = Restriction['kind'];

const HEADS: Record<Kind, (limit: number) => string> = {
  STOPPED: () => 'Stopped until cleared in writing',
  NO_ISOMETRICS: () => 'No isometrics until cleared in writing',
  NO_LOADED_END_RANGE: () => 'No load at the end of the range',
  EFFORT_CAP: (limit) => `Effort at most ${limit} %`,
  CONTRACTION_CAP: (limit) => `No contraction over ${limit} s`,
  ANGLE_CAP: (limit) => `No further than ${limit}°`,
  NO_DEEPENING: () => 'No deepening',
  NOT_LYING: () => 'Not lying flat',
  MOVING_BREATH: () => 'Breath always moving',
  NO_RELEASE_PRESSURE: () => 'No release with pressure',
};

/** What it forbids, in a few words. */
export function headOf(r: Restriction): string {
  return HEADS[r.kind](r.limit ?? 0);
}

/** Where: "left wrist", "hip flexion", or empty for the whole body. */
export function placeOf(r: Restriction): string {
  const what = r.scope.motion ? words(r.scope.motion) : r.scope.joints.map((j) => JOINTS[j] ?? j).join(', ');
  return r.scope.side && what ? `${words(r.scope.side)} ${what}` : what;
}

const JOINTS: Record<string, string> = { thoracic: 'upper back', lumbar: 'low back' };

export function jointName(joint: string): string {
  return JOINTS[joint] ?? joint;
}

/** One entry a place, with everything that holds there: the same reason is said once. */
export function grouped(restrictions: Restriction[]): { place: string; heads: string[]; reasons: string[] }[] {
  const byPlace = new Map<string, { place: string; heads: string[]; reasons: string[] }>();
  for (const r of restrictions) {
    const place = placeOf(r);
    const entry = byPlace.get(place) ?? { place, heads: [], reasons: [] };
    entry.heads = [...new Set([...entry.heads, headOf(r)])];
    entry.reasons = [...new Set([...entry.reasons, r.reason.replace(/:.*$/, '')])];
    byPlace.set(place, entry);
  }
  return [...byPlace.values()];
}

/** Each place with what holds there, and whether the screening is due, in a few words. */
export function marksOf(restrictions: Restriction[], due: Schemas['ClientFile']['screeningDue']): string[] {
  const asked = DUE[due];
  return [
    ...grouped(restrictions).map((g) => [g.place, g.heads.join(', ').toLowerCase()].filter(Boolean).join(': ')),
    ...(asked ? [asked.toLowerCase()] : []),
  ];
}

export const DUE: Record<Schemas['ClientFile']['screeningDue'], string | null> = {
  NOT_DUE: null,
  NEVER_ASKED: 'Not screened yet',
  OLDER_THAN_TWELVE_MONTHS: 'Screening older than twelve months',
  FLAG_SINCE: 'A stop sign came up since the screening',
};
