import type { Schemas } from './api/client';

type Instrument = Schemas['RangeRow']['instrument'];

export const INSTRUMENTS: [Instrument, string][] = [
  ['GONIOMETER', 'goniometer'],
  ['TAPE', 'tape'],
  ['INCLINOMETER', 'inclinometer'],
  ['TYPED', 'angle, no instrument'],
];

/** By tape; without an instrument, as typed. */
export function byInstrument(instrument: Instrument): string {
  return instrument === 'TYPED' ? 'typed' : `by ${instrument.toLowerCase()}`;
}
