import type { Finding, Schemas } from '../../shared/api/client';

export type Details = Schemas['Details'];
export type PartProps = { details: Details; set: (part: Partial<Details>) => void; findings: Finding[] };

export const EMPTY: Details = {
  name: '',
  goal: '',
  history: '',
  days: [],
  equipment: [],
  lengths: {},
  blockStepCm: 1,
  goals: [],
};

/** As the fields of a file are called. */
export function ofFile(findings: Finding[]): Finding[] {
  return findings.map((f) => ({ ...f, path: f.path.replace(/^details\./, '') }));
}
