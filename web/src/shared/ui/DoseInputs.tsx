import type { Finding, Schemas, Side } from '../api/client';
import { NumberField } from './NumberField';

type Dose = Schemas['Dose'];

const FIELDS: [Exclude<keyof Dose, 'blocks'>, string, string, number][] = [
  ['angle', 'Working angle', '°', 0.5],
  ['supportedHoldSeconds', 'Supported hold', 's', 5],
  ['sets', 'Sets', '', 1],
  ['ceiling', 'Effort ceiling', '%', 5],
  ['topHoldSeconds', 'Top hold', 's', 1],
  ['handsOffRepetitions', 'Hands-off holds', '×', 1],
  ['handsOffSeconds', 'each', 's', 1],
];

type Props = { side: Side; dose: Dose; setDose: (dose: Dose) => void; findings: Finding[] };

/** The numbers of one side's dose. */
export function DoseInputs({ side, dose, setDose, findings }: Props) {
  return FIELDS.map(([key, label, unit, step]) => (
    <NumberField
      key={key}
      label={label}
      unit={unit}
      step={step}
      value={dose[key]}
      onChange={(v) => setDose({ ...dose, [key]: v ?? 0 })}
      path={`doses.${side.toLowerCase()}.${key}`}
      findings={findings}
    />
  ));
}
