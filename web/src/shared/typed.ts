/** What a length or a weight is typed and shown in; what is stored is metric always. */
type Measure = { unit: string; factor: number };

const IMPERIAL: Record<string, Measure> = {
  cm: { unit: 'in', factor: 2.54 },
  kg: { unit: 'lb', factor: 0.45359237 },
};

/** What may be written behind a number, and how much of the field's unit it is. */
const WRITTEN: Record<string, Record<string, number>> = {
  cm: { cm: 1, mm: 0.1, m: 100, in: 2.54, '"': 2.54, '″': 2.54, ft: 30.48, "'": 30.48, '′': 30.48 },
  kg: { kg: 1, g: 0.001, lb: 0.45359237, lbs: 0.45359237 },
  s: { s: 1, sec: 1, min: 60 },
  min: { min: 1, h: 60 },
};

const units = { imperial: false };

/** The setting of whoever is signed in. */
export function setImperial(on: boolean) {
  units.imperial = on;
}

/** A field's unit as it is shown, and how much of the stored unit one of it is. */
export function shownAs(unit: string): Measure {
  return (units.imperial && IMPERIAL[unit.trim()]) || { unit, factor: 1 };
}

/** What a field says of something that it cannot read. */
export function cannotRead(unit: string): string {
  return WRITTEN[unit.trim()] ? `▲ This is not a number, in ${shownAs(unit).unit.trim()}.` : '▲ This is not a number.';
}

const PART = /^([-−]?\d*[.,]?\d+)\s*([\p{L}%°"'″′]*)\s*/u;

/** What was typed or pasted into a field, in its stored unit: "1,5", "1.5 cm", 5'7". Null where it is no number of that kind. */
export function read(text: string, unit: string): number | null {
  const known = WRITTEN[unit.trim()] ?? { [unit.trim()]: 1 };
  let rest = text.trim();
  let sum: number | null = null;
  while (rest !== '') {
    const part = PART.exec(rest);
    if (!part) return null;
    const [whole, digits = '', mark = ''] = part;
    // Inches may follow feet without a mark of their own.
    const factor: number | undefined =
      mark === '' ? (sum === null ? shownAs(unit).factor : WRITTEN.cm?.in) : known[mark.toLowerCase()];
    if (factor === undefined || (sum !== null && unit.trim() !== 'cm')) return null;
    sum = (sum ?? 0) + Number(digits.replace(',', '.').replace('−', '-')) * factor;
    rest = rest.slice(whole.length);
  }
  return sum === null ? null : Number(sum.toFixed(6));
}
