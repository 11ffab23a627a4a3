import { addDays, format, startOfWeek } from 'date-fns';
import type { Schemas } from '../../shared/api/client';

export type WeekView = Schemas['WeekView'];
export type DayView = Schemas['DayView'];
export type Place = DayView['place'];

export const DAY_NAMES = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

export const PLACES: [Place, string][] = [
  ['HOME', 'At home'],
  ['STUDIO', 'Studio'],
  ['TRAVEL', 'Away'],
];

export function placeName(place: Place): string {
  return PLACES.find(([id]) => id === place)?.[1] ?? '';
}

/** As the API writes a day. */
export function iso(date: Date): string {
  return format(date, 'yyyy-MM-dd');
}

/** A day of the API, at noon where it is looked at, so that no zone makes another of it. */
export function local(date: string): Date {
  return new Date(`${date}T12:00:00`);
}

export function mondayOf(date: Date): string {
  return iso(startOfWeek(date, { weekStartsOn: 1 }));
}

export function weeksOn(monday: string, weeks: number): string {
  return iso(addDays(local(monday), 7 * weeks));
}

export function shortDate(date: string): string {
  return local(date).toLocaleDateString(undefined, { day: 'numeric', month: 'short' });
}

export function minutes(seconds: number): number {
  return Math.ceil(seconds / 60);
}
