import { admit, admittedAlike, type EventBody, type JobEvent } from '$core/job/index.ts';
import type { JobState } from '$core/job/domain.ts';
import type { Engine } from '$core/engine/engine.ts';
import type { RunSheet } from '$core/job/run-sheet.ts';
import { stateOf } from '$core/sheets/index.ts';
import { Refusal } from '../errors.ts';

/**
 * Asks of the events of one transaction, one after the other, whether the job admits each. Working a job out takes as long as
 * its log is; readings in a row that are admitted alike whatever was read before them are asked of one state, so that a long
 * sweep takes as long as it has points and not the square of it.
 */
export class Checked {
  #engine: Engine | null = null;
  #log: readonly JobEvent[] = [];
  #state: JobState | null = null;

  constructor(private readonly sheet: RunSheet) {}

  get begun(): boolean {
    return this.#engine !== null;
  }
  /** @param log the job as it was before this transaction */
  begin(engine: Engine, log: readonly JobEvent[]): void {
    this.#engine = engine;
    this.#log = log;
  }

  /** Refuses an event that is not admitted after those that were written in this transaction. */
  next(fresh: readonly JobEvent[], body: EventBody): void {
    const alike = admittedAlike(this.sheet, body);
    const state = (alike ? this.#state : null) ?? stateOf(this.sheet, this.#engine!, [...this.#log, ...fresh]);
    const log = alike ? this.#log : [...this.#log, ...fresh];
    const answer = admit(state, this.#engine!, log, body);
    if (!answer.ok) throw new Refusal(422, answer.error.code, answer.error.message, answer.error.path);
    this.#state = alike ? state : null;
  }
}
