/** Dates as they are written everywhere: 28 Nov 2026, 14:32; of today only 14:32. */
import { format, isSameDay, isSameYear } from 'date-fns';

/** A moment. */
export function whenWords(at: string | number | Date, now: Date = new Date()): string {
  const moment = new Date(at);
  return format(moment, isSameDay(moment, now) ? 'HH:mm' : 'd MMM yyyy, HH:mm');
}

/** A day; with its weekday where the year goes without saying. */
export function dayWords(at: string | Date, now: Date = new Date()): string {
  const day = new Date(at);
  return format(day, isSameYear(day, now) ? 'EEE d MMM' : 'd MMM yyyy');
}

/** The time of day, to the second. */
export function clockWords(at: string | number | Date): string {
  return format(new Date(at), 'HH:mm:ss');
}
