import type { EventBody, JobEvent, Person } from '$core/job/index.ts';
import { admit, jobState } from '$core/job/index.ts';
import { sheetOf } from '$core/sheets/index.ts';
import { takesReading } from '$core/job/admit.ts';
import { partsTaken } from '$core/job/taken.ts';
import { replay } from '$core/job/replay.ts';
import type { EventInput } from '$core/job/event-input.ts';
import { readingParse } from '$core/calculations/reading/reading-parse.ts';
import { unitsOf, type Quantity, type Unit } from '$core/units/units.ts';
import { withTransaction, type Queryable } from '../db/pool.ts';
import { notFound, Refusal, violated } from '../errors.ts';
import { engineForJob } from './engine-for-job.ts';
import { amendmentOn, eventById, insertEvent, lockJob, logOf } from '../repositories/events.ts';
import { gaugeById } from '../repositories/gauges.ts';
import { holdParts, partsOf } from '../repositories/stock.ts';
import { deriveSoon } from './derive.ts';

/**
 * Writes one event in a job's log and answers it as written. An id that is there already is answered, not written
 * again, so a screen may send until it hears. What the core does not admit is refused with the core's sentence.
 */
export async function append(jobId: string, input: EventInput, by: Person): Promise<JobEvent> {
  const done = await write(jobId, input, by).catch((e) => explain(e, input));
  deriveSoon(jobId);
  return done;
}

async function write(jobId: string, input: EventInput, by: Person): Promise<JobEvent> {
  return withTransaction(async (c) => {
    const job = await lockJob(jobId, c);
    if (!job) throw notFound('job');
    const before = await eventById(input.id, c);
    if (before) {
      if (before.jobId !== jobId) throw new Refusal(409, 'id-taken', 'This id belongs to another job.', 'id');
      const { jobId: _, ...event } = before;
      return event;
    }
    const body = await toBody(jobId, input, c);
    await mustBeAdmitted(jobId, job, body, c);
    const seq = job.lastSeq + 1;
    const at = await insertEvent(jobId, seq, input.id, body, by.id, c);
    if (body.kind === 'take' || body.kind === 'undo') await settleParts(jobId, job, by, c);
    return { ...body, id: input.id, seq, at: at.toISOString(), by };
  });
}

/** A reading needs only its slot; everything else is judged against the state of the job as it is under the lock. */
async function mustBeAdmitted(
  jobId: string,
  job: { engineId: string; sheet: string },
  body: EventBody,
  c: Queryable
): Promise<void> {
  const sheet = sheetOf(job.sheet);
  if (!sheet) throw new Refusal(409, 'no-such-sheet', 'This job\u2019s run sheet is not known to this version.');
  if (body.kind === 'reading') {
    const answer = takesReading(sheet, body);
    if (!answer.ok) throw new Refusal(422, answer.error.code, answer.error.message, answer.error.path);
    return;
  }
  const engine = await engineForJob(job.engineId, jobId, c);
  const log = await logOf(jobId, 0, c);
  const answer = admit(jobState(sheet, engine, log), engine, log, body);
  if (!answer.ok) throw new Refusal(422, answer.error.code, answer.error.message, answer.error.path);
}

/** What the log says was taken is what leaves the tray: after a take, and after one is undone. */
async function settleParts(
  jobId: string,
  job: { engineId: string; sheet: string },
  by: Person,
  c: Queryable
): Promise<void> {
  const log = await logOf(jobId, 0, c);
  const takes = log.filter((e) => e.kind === 'take');
  if (takes.length === 0) return;
  const r = replay(sheetOf(job.sheet)!, await engineForJob(job.engineId, jobId, c), log);
  for (const kind of new Set(takes.map((t) => t.part)))
    await holdParts(
      jobId,
      kind,
      partsTaken(r, kind).map((p) => p.id),
      by,
      c
    );
}

async function toBody(jobId: string, input: EventInput, c: Queryable): Promise<EventBody> {
  if (input.kind === 'take') {
    const { step, part, items } = input;
    return { kind: 'take', step, part, parts: await partsOf(items, part, c) };
  }
  if (input.kind !== 'reading' && input.kind !== 'amend') {
    const { id: _, ...body } = input;
    return body as EventBody;
  }
  const quantity = input.kind === 'reading' ? input.quantity : await quantityOf(jobId, input.replaces, c);
  const gauge = input.gaugeId === null ? null : await gaugeById(input.gaugeId, c);
  if (input.gaugeId !== null && !gauge)
    throw new Refusal(422, 'no-such-gauge', 'That gauge is not in the tray any more: choose another.', 'gaugeId');
  const unit = (unitsOf[quantity] as readonly string[]).includes(input.defaultUnit)
    ? (input.defaultUnit as Unit)
    : unitsOf[quantity][0];
  const read = readingParse({
    text: input.text,
    quantity,
    defaultUnit: unit,
    ...(gauge?.perRevMm ? { perRevMm: gauge.perRevMm } : {})
  });
  if (!read.ok) throw new Refusal(422, read.error.code, read.error.message, read.error.path);
  const figure = {
    text: input.text,
    ...read.out,
    gauge: gauge && { id: gauge.id, name: gauge.name, resolution: gauge.resolution, accuracy: gauge.accuracy }
  };
  if (input.kind === 'reading') return { kind: 'reading', step: input.step, slot: input.slot, quantity, ...figure };
  return { kind: 'amend', replaces: input.replaces, basis: input.basis, reason: input.reason, ...figure };
}

async function quantityOf(jobId: string, readingId: string, c: Queryable): Promise<Quantity> {
  const e = await eventById(readingId, c);
  if (!e || e.jobId !== jobId || e.kind !== 'reading')
    throw new Refusal(422, 'no-such-reading', 'That reading is not in this log.', 'replaces');
  return e.quantity;
}

/** Constraint names to sentences. */
async function explain(e: unknown, input: EventInput): Promise<never> {
  const constraint = violated(e);
  if (constraint === 'event_amend_once' && input.kind === 'amend') {
    const other = await amendmentOn(input.replaces, input.basis);
    const who = other
      ? `${other.name} has just amended this reading to ${other.text}`
      : 'This reading has just been amended';
    throw new Refusal(
      409,
      'amended-meanwhile',
      `${who}. Look at it, then amend again if yours is right.`,
      'basis',
      other ?? {}
    );
  }
  if (constraint === 'event_undo_once') throw new Refusal(409, 'not-undoable', 'That was undone already.', 'undoes');
  throw e;
}
