import { shownAs } from './typed';
import { number } from './units';

/** Fields of the API that are sentences for people and never sent back. */
const SENTENCES = new Set(
  'detail message why cue caption sentences rows seen against changed what blocks advice setUp'.split(' '),
);

/** What a coach wrote into a block or a position: it goes back as it came. */
const TYPED = new Set(['words', 'training']);

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

/** An answer of the server, fresh from the wire, with its sentences as the viewer writes them. */
export function said<T>(answer: T): T {
  // A file is no answer to read.
  if (typeof answer === 'object' && answer !== null && !(answer instanceof Blob)) walk(answer as Answer, false);
  return answer;
}

type Answer = Record<string | number, unknown>;

function walk(of: Answer, isSentence: boolean) {
  // A reason, or a part of a report: elsewhere these names are what somebody typed.
  const isSpoken = 'reason' in of || 'pieces' in of;
  const isList = Array.isArray(of);
  for (const key in of) {
    const value = of[key];
    const says = isList ? isSentence : SENTENCES.has(key) || (isSpoken && (key === 'text' || key === 'answer'));
    if (typeof value === 'string') {
      if (says) of[key] = sentence(value);
    } else if (typeof value === 'object' && value !== null && !TYPED.has(key)) {
      walk(value as Answer, says);
    }
  }
}
