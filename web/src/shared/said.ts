import { shownAs } from './typed';
import { number } from './units';

/** Fields of the API that are sentences for people and never sent back. */
const SENTENCES = new Set(
  'detail message why cue caption sentences rows seen against changed what blocks advice setUp'.split(' '),
);

const AMOUNT = /(?:(\d+(?:\.\d+)?)( to | and | → |–))?(\d+(?:\.\d+)?)( cm| kg)(?![\w/·])|\d+\.\d+(?![\d.])/g;

/** A sentence of the server with its lengths, weights and decimals as the viewer writes them. */
export function sentence(text: string): string {
  return text.replace(
    AMOUNT,
    (whole, from: string | undefined, link: string, value: string | undefined, unit: string) => {
      if (value === undefined) return decimals(whole);
      const shown = shownAs(unit.trim());
      const said = (x: string) => (shown.factor === 1 ? decimals(x) : number(Number(x) / shown.factor));
      return `${from === undefined ? '' : said(from) + link}${said(value)} ${shown.unit}`;
    },
  );
}

/** With the decimals that it was written with. */
function decimals(written: string): string {
  const places = written.split('.')[1]?.length ?? 0;
  return number(Number(written), places, places);
}

/** An answer of the server with its sentences as the viewer writes them. */
export function said<T>(answer: T): T {
  return walk(answer, false) as T;
}

function walk(value: unknown, isSentence: boolean): unknown {
  if (typeof value === 'string') return isSentence ? sentence(value) : value;
  if (Array.isArray(value)) return value.map((v) => walk(v, isSentence));
  // A file is no answer to read.
  if (value === null || typeof value !== 'object' || value instanceof Blob) return value;
  const of = Object.entries(value);
  // A reason, or a part of a report: elsewhere these names are what somebody typed.
  const isSpoken = 'reason' in value || 'pieces' in value;
  return Object.fromEntries(
    of.map(([key, v]) => [key, walk(v, SENTENCES.has(key) || (isSpoken && (key === 'text' || key === 'answer')))]),
  );
}
