/** What the server tells of a change: a job's newest event, an engine, the tray; or that anything may have changed. */
export interface Told {
  job?: string;
  seq?: number;
  engine?: string;
  stock?: boolean;
  line?: string;
  resync?: boolean;
}

export const ADDRESS = '/api/live';
