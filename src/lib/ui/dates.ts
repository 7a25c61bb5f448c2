const days = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', timeZone: 'UTC' });
const full = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' });
const clock = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
  timeZone: 'UTC'
});

/** A promised day as the floor says it: `Fri 27`. */
export const dayText = (iso: string): string => days.format(new Date(`${iso}T00:00:00Z`)).replace(',', '');
export const dateText = (iso: string): string => full.format(new Date(iso));
export const timeText = (iso: string): string => clock.format(new Date(iso));
