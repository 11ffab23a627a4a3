import { differenceInCalendarDays } from 'date-fns';

export function degrees(value: number): string {
  return `${Number(value.toFixed(1))}°`;
}

export function signed(value: number): string {
  return `${value > 0 ? '+' : value < 0 ? '−' : ''}${Math.abs(value).toFixed(1)}°`;
}

export function clock(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

const UNITS: Record<string, string> = {
  DEGREE: '°',
  CENTIMETRE: ' cm',
  KILOGRAM: ' kg',
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
  const shown = unit === 'RATIO' ? value.toFixed(2) : String(Number(value.toFixed(1)));
  return shown + (unit === 'DAY' && value === 1 ? ' day' : (UNITS[unit] ?? ''));
}

export function daysAgo(instant: string | undefined, now: Date = new Date()): string {
  if (!instant) return 'never';
  const days = differenceInCalendarDays(now, new Date(instant));
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

/** "1 fault", "2 faults". */
export function counted(n: number, word: string): string {
  return `${n} ${word}${n === 1 ? '' : 's'}`;
}
