/** Whoever reads a time reads it by the workshop's clock. */
export interface Clock {
  /** IANA name of the time zone, as `Europe/London` */
  zone: string;
}

const days = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', timeZone: 'UTC' });
const calendar = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC'
});

// making a format is slow, and a workshop has one zone
const made = new Map<string, Intl.DateTimeFormat>();
function format(name: string, zone: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = `${name} ${zone}`;
  let f = made.get(key);
  if (!f) made.set(key, (f = new Intl.DateTimeFormat('en-GB', { ...options, timeZone: zone })));
  return f;
}

/** A promised day as the floor says it: `Fri 27`. */
export const dayText = (iso: string): string => days.format(new Date(`${iso}T00:00:00Z`)).replace(',', '');
/** A day of the calendar, without a time: `27 Nov 2026`. */
export const calendarText = (day: string): string => calendar.format(new Date(`${day.slice(0, 10)}T00:00:00Z`));
/** The day of a moment, by the workshop's clock: `27 Nov 2026`. */
export const dateText = (iso: string, { zone }: Clock): string =>
  format('date', zone, { day: 'numeric', month: 'short', year: 'numeric' }).format(new Date(iso));
/** A moment, by the workshop's clock: `27 Nov, 14:05`. */
export const timeText = (iso: string, { zone }: Clock): string =>
  format('time', zone, { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' }).format(new Date(iso));

/** Whether a name is that of a time zone. */
export function isZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en-GB', { timeZone: name });
    return name.length <= 60;
  } catch {
    return false;
  }
}
