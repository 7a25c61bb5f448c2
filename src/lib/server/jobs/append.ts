import { understand, type EventBody, type JobEvent, type Person } from '$core/job/index.ts';
import type { EventInput } from '$core/job/event-input.ts';
import { partsTaken } from '$core/job/taken.ts';
import { stateOf } from '$core/sheets/index.ts';
import { learntInHand, learntKey } from '$core/tray/hands.ts';
import { readsOf } from '$core/tray/reads.ts';
import { withTransaction, type Queryable } from '../db/pool.ts';
import { notFound, Refusal, violated } from '../errors.ts';
import {
  amendmentOn,
  eventById,
  eventsById,
  insertEvent,
  insertEvents,
  lockJob,
  logOf
} from '../repositories/events.ts';
import { gaugeById } from '../repositories/gauges.ts';
import { learntOf } from '../repositories/hands.ts';
import { hasPhoto } from '../repositories/photos.ts';
import { holdParts, partsOf } from '../repositories/stock.ts';
import { Checked } from './checked.ts';
import { deriveSoon } from './derive.ts';
import { engineForJob } from './engine-for-job.ts';
import { inTurn } from './in-turn.ts';
import { logThrough } from './log-through.ts';
import { knownSheet } from './known-sheet.ts';

interface Job {
  engineId: string;
  sheet: string;
  lastSeq: number;
  /** written in this transaction already */
  fresh: JobEvent[];
  /** events whose ids were sent and that are there */
  known: Map<string, JobEvent & { jobId: string }>;
  check: Checked;
  /** readings that were admitted and wait to be written together; null where one event is written alone */
  pending: { seq: number; id: string; body: EventBody }[] | null;
  /** the time of this transaction */
  now: Date;
  /** gauges looked up in this transaction, each with the hand that holds it there */
  gauges: Map<string, ReturnType<typeof gaugeInHand>>;
}

/**
 * Writes one event in a job's log and answers it as written. An id that is there already is answered, not written
 * again, so a screen may send until it hears. What the core does not admit is refused with the core's sentence.
 */
export const append = async (jobId: string, input: EventInput, by: Person): Promise<JobEvent> =>
  (await appendAll(jobId, [input], by))[0]!;

/** Writes several events of one person in one transaction: all of them or none. A refusal says in `at` which it was. */
export async function appendAll(jobId: string, inputs: readonly EventInput[], by: Person): Promise<JobEvent[]> {
  let at = 0;
  try {
    const done = await inTurn(jobId, () =>
      withTransaction(async (c) => {
        const job = await lockJob(jobId, c);
        if (!job) throw notFound('job');
        const out: JobEvent[] = [];
        const fresh: JobEvent[] = [];
        const check = new Checked(knownSheet(job.sheet));
        const gauges: Job['gauges'] = new Map();
        const pending = inputs.length > 1 ? [] : null;
        const known = new Map(
          (
            await eventsById(
              inputs.map((i) => i.id),
              c
            )
          ).map((e) => [e.id, e])
        );
        for (const [k, input] of inputs.entries()) {
          at = k;
          const one = await writeOne(jobId, { ...job, fresh, known, check, gauges, pending }, input, by, c);
          known.set(one.id, { ...one, jobId });
          out.push(one);
          if (one.seq > job.lastSeq) fresh.push(one);
        }
        await writePending(jobId, pending, by, c);
        return out;
      })
    );
    deriveSoon(jobId);
    return done;
  } catch (e) {
    const said = await explain(e, inputs[at]!);
    throw inputs.length > 1 && said instanceof Refusal && said.status < 500 ? said.with({ at }) : said;
  }
}

async function writeOne(jobId: string, job: Job, input: EventInput, by: Person, c: Queryable): Promise<JobEvent> {
  const before = job.known.get(input.id);
  if (before) {
    if (before.jobId !== jobId) throw new Refusal(409, 'id-taken', 'This id belongs to another job.', 'id');
    const { jobId: _, ...event } = before;
    return event;
  }
  // whatever is no reading may look at those before it
  if (input.kind !== 'reading') await writePending(jobId, job.pending, by, c);
  const body = await toBody(jobId, job, input, by, c);
  await mustBeAdmitted(jobId, job, body, c);
  if (body.kind === 'photo' && !(await hasPhoto(jobId, body.photo, c)))
    throw new Refusal(
      422,
      'no-such-photo',
      'That photograph was not kept with this job: send the photograph first, then its line.',
      'photo'
    );
  const seq = job.lastSeq + job.fresh.length + 1;
  if (body.kind === 'reading' && job.pending) {
    job.pending.push({ seq, id: input.id, body });
    if (job.pending.length >= TOGETHER) await writePending(jobId, job.pending, by, c);
    return { ...body, id: input.id, seq, at: job.now.toISOString(), by };
  }
  const at = await insertEvent(jobId, seq, input.id, body, by.id, c);
  if (body.kind === 'take' || body.kind === 'undo') await settleParts(jobId, job, by, c);
  return { ...body, id: input.id, seq, at: at.toISOString(), by };
}

/** Readings in a row are written so many at a time: the row of their job is then counted up once for all of them. */
const TOGETHER = 200;

async function writePending(jobId: string, pending: Job['pending'], by: Person, c: Queryable): Promise<void> {
  const now = pending?.splice(0) ?? [];
  if (now.length > 0) await insertEvents(jobId, now, by.id, c);
}

/** Every event is judged against the state of the job as it is under the lock. */
async function mustBeAdmitted(jobId: string, job: Job, body: EventBody, c: Queryable): Promise<void> {
  if (!job.check.begun)
    job.check.begin(await engineForJob(job.engineId, jobId, c), await logThrough(jobId, job.lastSeq, c));
  job.check.next(job.fresh, body);
}

/** What the log says was taken is what leaves the tray: after a take, and after one is undone. */
async function settleParts(jobId: string, job: Job, by: Person, c: Queryable): Promise<void> {
  const log = await logOf(jobId, 0, c);
  const takes = log.filter((e) => e.kind === 'take');
  if (takes.length === 0) return;
  const engine = await engineForJob(job.engineId, jobId, c);
  const { replayed } = stateOf(knownSheet(job.sheet), engine, log);
  for (const kind of new Set(takes.map((t) => t.part)))
    await holdParts(
      jobId,
      kind,
      partsTaken(replayed, kind).map((p) => p.id),
      by,
      c
    );
}

/** The event that a screen's input means, with gauge, parts and the amended reading looked up under the lock. */
async function toBody(jobId: string, job: Job, input: EventInput, by: Person, c: Queryable): Promise<EventBody> {
  const { id: _, ...draft } = input;
  const parts = draft.kind === 'take' ? await partsOf(draft.items, draft.part, c) : [];
  const typed = draft.kind === 'reading' || draft.kind === 'amend' ? draft : null;
  const replaced = draft.kind === 'amend' ? await eventById(draft.replaces, c) : null;
  const slot = draft.kind === 'reading' ? draft.slot : replaced?.kind === 'reading' ? replaced.slot : null;
  const inHand = (id: string) => {
    const key = `${id} ${slot}`;
    const asked = job.gauges.get(key) ?? gaugeInHand(id, slot, by, jobId, c);
    job.gauges.set(key, asked);
    return asked;
  };
  const gauge = typed?.gaugeId ? await inHand(typed.gaugeId) : null;
  const read = understand(draft, {
    gauge: () => gauge ?? undefined,
    part: (p) => parts.find((x) => x.id === p),
    quantityOf: () => (replaced?.jobId === jobId && replaced.kind === 'reading' ? replaced.quantity : undefined)
  });
  if (!read.ok) throw new Refusal(422, read.error.code, read.error.message, read.error.path);
  return read.out;
}

/** A gauge of the tray with how this person's hand scatters with it where this is read, as far as other jobs have told. */
async function gaugeInHand(id: string, slot: string | null, by: Person, jobId: string, c: Queryable) {
  const gauge = await gaugeById(id, c);
  if (!gauge || slot === null) return gauge;
  return learntInHand(gauge, (await learntOf(by.id, jobId, c))[learntKey(id, readsOf(slot))]);
}

/** Constraint names to sentences; what has none as it is. */
async function explain(e: unknown, input: EventInput): Promise<unknown> {
  const constraint = violated(e);
  if (constraint === 'event_amend_once' && input.kind === 'amend') {
    const other = await amendmentOn(input.replaces, input.basis);
    const who = other
      ? `${other.name} has just amended this reading to ${other.text}`
      : 'This reading has just been amended';
    return new Refusal(
      409,
      'amended-meanwhile',
      `${who}. Look at it, then amend again if yours is right.`,
      'basis',
      other ?? {}
    );
  }
  if (constraint === 'event_undo_once') return new Refusal(409, 'not-undoable', 'That was undone already.', 'undoes');
  return e;
}
