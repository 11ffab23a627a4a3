const NAMES: Record<string, string> = {
  ball: 'forefoot',
  finger: 'fingertips',
  skull: 'head',
  breastbone: 'chest',
  sacrum: 'low back',
  back: 'upper back',
  groin: 'front of the pelvis',
};

/** kneeW: knee, working side. */
export function pointWords(spot: string): string {
  const name = spot.replace(/[WO]$/, '');
  const side = spot.endsWith('W') ? ', working side' : spot.endsWith('O') ? ', other side' : '';
  return (NAMES[name] ?? name) + side;
}

const SIDED = [
  'heel',
  'ball',
  'toe',
  'instep',
  'ankle',
  'calf',
  'knee',
  'hip',
  'seat',
  'palm',
  'wrist',
  'elbow',
  'shoulder',
];
const MIDDLE = ['sacrum', 'back', 'skull', 'groin', 'breastbone'];

/** Points of the body that something is at, or that lie on something. */
export const POINTS: [string, string][] = [...SIDED.flatMap((s) => [`${s}W`, `${s}O`]), ...MIDDLE].map((spot) => [
  spot,
  pointWords(spot),
]);
