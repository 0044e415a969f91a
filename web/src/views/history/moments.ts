import { format, isToday, isYesterday } from 'date-fns';

/** `today`, `yesterday`, or the day. */
export const dayOf = (iso: string): string => {
  const at = new Date(iso);
  if (isToday(at)) return 'Today';
  return isYesterday(at) ? 'Yesterday' : format(at, 'EEEE, d MMMM yyyy');
};

export const timeOf = (iso: string): string => format(new Date(iso), 'HH:mm');

/** A moment in the middle of a sentence. */
export const momentOf = (iso: string): string => {
  const day = dayOf(iso);
  return `${day === 'Today' || day === 'Yesterday' ? day.toLowerCase() : `on ${day}`} at ${timeOf(iso)}`;
};
