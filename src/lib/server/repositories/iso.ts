/** A time as text in UTC to the millisecond, as the core keeps it; `column` is a name of our own statements. */
export const isoOf = (column: string): string =>
  `to_char(${column} AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`;
