import { repeatsIn, settledFigures, words } from '$core/job/index.ts';
import { sheetOf, stateOf } from '$core/sheets/index.ts';
import { CORE_VERSION } from '../core-version.ts';
import { withTransaction } from '../db/pool.ts';
import { isAway, Refusal, troubleOf } from '../errors.ts';
import { log } from '../log.ts';
import {
  allJobIds,
  behindFirst,
  behindOf,
  clearDerived,
  hardlyWait,
  isBehind,
  lockDerived,
  writeDerived,
  type Derived
} from '../repositories/derived.ts';
import { logOf } from '../repositories/events.ts';
import { jobById } from '../repositories/jobs.ts';
import { engineForJob, JUDGED_WITH } from './engine-for-job.ts';

type Worked = Pick<Derived, 'line' | 'done' | 'total' | 'figures' | 'repeats'>;

/**
 * Works out a job's derived rows from its log and writes them, one job of an engine at a time. A job that cannot be
 * worked out gets a row that says so: it is not tried again until its log, its data sheet or the core has changed.
 */
export function derive(jobId: string, onlyBehind = false): Promise<void> {
  if (!onlyBehind) return deriveNow(jobId, false);
  // several pages that find the same job behind wait for one working out, not each on a connection of its own; one that is
  // under way may have begun before the newest event, so they wait for the one after it
  const turn = inHand.get(jobId);
  if (turn) return (turn.after ??= turn.now.catch(() => {}).then(() => derive(jobId, true)));
  const now = deriveNow(jobId, true).finally(() => inHand.delete(jobId));
  inHand.set(jobId, { now });
  return now;
}
const inHand = new Map<string, { now: Promise<void>; after?: Promise<void> }>();

async function deriveNow(jobId: string, onlyBehind: boolean): Promise<void> {
  const { engineId } = await jobById(jobId);
  await withTransaction(async (c) => {
    // what follows from a log can wait for whoever holds the job; a page that would like it cannot
    await hardlyWait(c);
    await lockDerived(engineId, c);
    if (onlyBehind && !(await isBehind(jobId, CORE_VERSION, c))) return;
    const job = await jobById(jobId, c);
    const engine = await engineForJob(engineId, jobId, c);
    const events = await logOf(jobId, 0, c);
    await writeDerived(
      {
        jobId,
        throughSeq: job.lastSeq,
        throughSheet: engine.sheetVersion,
        coreVersion: CORE_VERSION,
        lastAt: events[events.length - 1]?.at ?? null,
        ...workOut(jobId, job.sheet, engine, events)
      },
      JUDGED_WITH,
      c
    );
  });
}

function workOut(
  jobId: string,
  sheetId: string,
  engine: Parameters<typeof stateOf>[1],
  events: Parameters<typeof stateOf>[2]
): Worked {
  const none = { done: 0, total: 0, figures: [], repeats: [] };
  const sheet = sheetOf(sheetId);
  if (!sheet) {
    log.error(`job ${jobId} cannot be worked out: its run sheet ${sheetId} is not known to this version`);
    return { line: words.brokenLine('its run sheet is not known to this version'), ...none };
  }
  try {
    const state = stateOf(sheet, engine, events);
    return {
      line: words.floorLine(state, engine),
      ...state.progress,
      figures: settledFigures(state),
      repeats: repeatsIn(state)
    };
  } catch (e) {
    log.error(`job ${jobId} cannot be worked out`, e);
    return { line: words.brokenLine('an error in working it out, noted in the log of the server'), ...none };
  }
}

/** So many jobs are worked out while a page is being made; more go on behind it. */
const AT_ONCE = 4;

/**
 * Brings the derived rows of one engine up to their logs, oldest job first: a later one is judged with the figures of
 * those before it. A few are worked out before this answers; where there are many, as after an upgrade, they go on in
 * the background and the page shows what is there.
 */
export async function freshen(engineId: string): Promise<void> {
  let ids = await behindOf(engineId, CORE_VERSION);
  // the jobs after one that changed are behind in their turn
  for (let round = 0; ids.length > 0 && round < 3; round++) {
    if (ids.length > AT_ONCE) return catchUpSoon();
    if (!(await deriveThose(ids))) return;
    ids = await behindOf(engineId, CORE_VERSION);
  }
}

/** Works out jobs that a page shows and that are behind, when they are few; answers whether it did. */
export async function freshenSome(ids: readonly string[]): Promise<boolean> {
  if (ids.length === 0) return false;
  if (ids.length > AT_ONCE) {
    catchUpSoon();
    return false;
  }
  return deriveThose(ids);
}

/** Works out some jobs one after the other; where something holds them up, the page shows what there is. */
async function deriveThose(ids: readonly string[]): Promise<boolean> {
  let all = true;
  for (const id of ids) {
    if ((heldUntil.get(id) ?? 0) > performance.now()) {
      all = false;
      continue;
    }
    heldUntil.delete(id);
    try {
      await derive(id, true);
    } catch (e) {
      if (troubleOf(e) !== 'busy') throw e;
      heldUntil.set(id, performance.now() + HOLD_OFF_MS);
      all = false;
    }
  }
  return all;
}
/** Jobs that somebody held when they were to be worked out, and until when no page tries them again. */
const heldUntil = new Map<string, number>();
const HOLD_OFF_MS = 3000;

let catching: Promise<void> | null = null;
let stopped = false;

/** Works out all that is behind, in the background: open jobs first, then the newest. One such run a process. */
export function catchUpSoon(): void {
  catching ??= catchUp()
    .catch((e) => {
      if (!isAway(e) && !(e instanceof Refusal)) log.error('derived rows could not be brought up to date', e);
    })
    .finally(() => (catching = null));
}

const BATCH = 50;
async function catchUp(): Promise<void> {
  let done = 0;
  const held = new Set<string>();
  let told = Date.now();
  for (;;) {
    const behind = await behindFirst(CORE_VERSION, BATCH);
    // one that somebody holds is left for the next time
    const free = behind.filter(({ id }) => !held.has(id));
    if (free.length === 0 || stopped) break;
    for (const { id } of free) {
      if (stopped) return;
      await derive(id, true).catch((e) => {
        if (troubleOf(e) !== 'busy') throw e;
        held.add(id);
      });
      done++;
      // requests come first: the next job waits for the next turn of the loop
      await new Promise((r) => setImmediate(r));
    }
    if (Date.now() - told > 5000) {
      log.info(`derived rows: ${done} jobs worked out, about ${Math.max(0, behind[0]!.left - BATCH)} to go`);
      told = Date.now();
    }
  }
  if (done > BATCH) log.info(`derived rows: ${done} jobs worked out, all are up to date`);
}

const waiting = new Set<string>();
let running: Promise<void> | null = null;

/**
 * Derives soon, outside the request that wrote the event: the reading is acknowledged first. Several events of a
 * job in a row are derived once. If the process dies in between, the rows are stale by their own sequence number
 * and are derived again when they are next read.
 */
export function deriveSoon(jobId: string): void {
  // a server that is ending leaves it to the next one
  if (stopped) return;
  waiting.add(jobId);
  running ??= (async () => {
    while (waiting.size > 0 && !stopped) {
      const [id] = waiting;
      waiting.delete(id!);
      // a database that is away is met again by whoever reads the stale row
      await derive(id!, true).catch((e) => {
        if (!stopped && !isAway(e) && !(e instanceof Refusal)) log.error(`job ${id} could not be derived`, e);
      });
    }
    running = null;
  })();
}

export async function derivedSettled(): Promise<void> {
  while (running || catching) await (running ?? catching);
}

/** Ends the work in the background after the job in hand: what is behind then is worked out by whoever reads it next. */
export function stopDeriving(): void {
  stopped = true;
}

/** Throws all derived rows away and works them out again from the logs. */
export async function rebuild(progress: (done: number, total: number) => void = () => {}): Promise<number> {
  const ids = await allJobIds();
  await clearDerived();
  for (const [n, id] of ids.entries()) {
    await derive(id);
    progress(n + 1, ids.length);
  }
  return ids.length;
}
