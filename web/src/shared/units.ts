import { shownAs } from './typed';

const FORMATS = new Map<string, Intl.NumberFormat>();

/** With as many decimals as it has, up to so many, in the viewer's own way of writing. */
export function number(value: number, most = 1, least = 0): string {
  const key = `${least} ${most}`;
  const format =
    FORMATS.get(key) ??
    new Intl.NumberFormat(undefined, {
      maximumFractionDigits: most,
      minimumFractionDigits: least,
      useGrouping: false,
      // Fields read back what they show.
      numberingSystem: 'latn',
    });
  FORMATS.set(key, format);
  return format.format(value);
}

export function fixed(value: number, decimals: number): string {
  return number(value, decimals, decimals);
}

export function degrees(value: number): string {
  return `${number(value)}°`;
}

export function signed(value: number): string {
  return `${value > 0 ? '+' : value < 0 ? '−' : ''}${fixed(Math.abs(value), 1)}°`;
}

/** A length by the viewer's setting. */
export function length(cm: number): string {
  return inUnit(cm, 'cm');
}

/** A weight by the viewer's setting. */
export function weight(kg: number): string {
  return inUnit(kg, 'kg');
}

function inUnit(value: number, stored: string): string {
  const { unit, factor } = shownAs(stored);
  // Plates of 1.25 kg are usual.
  return `${number(value / factor, unit === 'kg' ? 2 : 1)} ${unit}`;
}

export function clock(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

const UNITS: Record<string, string> = {
  DEGREE: '°',
  SECOND: ' s',
  MINUTE: ' min',
  HOUR: ' h',
  DAY: ' days',
  PERCENT: ' %',
  OF_TEN: '/10',
  RATIO: '',
  COUNT: '',
};

export function amount(value: number, unit: string): string {
  if (unit === 'CENTIMETRE') return length(value);
  if (unit === 'KILOGRAM') return weight(value);
  const shown = unit === 'RATIO' ? fixed(value, 2) : number(value);
  return shown + (unit === 'DAY' && value === 1 ? ' day' : (UNITS[unit] ?? ''));
}

function midnight(at: Date): number {
  return new Date(at.getFullYear(), at.getMonth(), at.getDate()).getTime();
}

export function daysAgo(instant: string | undefined, now: Date = new Date()): string {
  if (!instant) return 'never';
  // A day with a change of the clock is not 24 hours long.
  const days = Math.round((midnight(now) - midnight(new Date(instant))) / 86_400_000);
  if (days <= 0) return 'today';
  return days === 1 ? 'yesterday' : `${days} days ago`;
}

export function day(instant: string): string {
  return new Date(instant).toLocaleDateString(undefined, { day: 'numeric', month: 'short' });
}

/** A whole date, of a day or of a moment. */
export function date(text: string): string {
  return new Date(text.length === 10 ? `${text}T12:00:00` : text).toLocaleDateString();
}

export function timeOf(instant: string): string {
  return new Date(instant).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' });
}

/** Of a day as the API writes it. */
export function weekday(date: string): string {
  return new Date(`${date}T12:00:00`).toLocaleDateString(undefined, { weekday: 'long' });
}

/** hip-internal-rotation → hip internal rotation */
export function words(id: string): string {
  return id.replaceAll('-', ' ').replaceAll('_', ' ').toLowerCase();
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** "1 fault", "2 faults". */
export function counted(n: number, word: string): string {
  return `${n} ${word}${n === 1 ? '' : 's'}`;
}
