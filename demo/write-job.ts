import { createHash } from 'node:crypto';
import { admit, understand, type Draft, type EventBody, type JobEvent } from '../src/core/job/index.ts';
import { slotOf } from '../src/core/job/run-sheet.ts';
import type { FlagId } from '../src/core/domains/list.ts';
import { sheetOf, stateOf } from '../src/core/sheets/index.ts';
import type { SignKind } from '../src/core/calculations/cycle/cycle-evidence.ts';
import type { PartKind } from '../src/core/tray/part-kinds.ts';
import { baseUnit } from '../src/core/units/units.ts';
import { cycleDegOf } from '../src/core/engine/engine.ts';
import { crankTarget } from '../src/core/domains/crank/words.ts';
import type { StepView } from '../src/core/job/domain.ts';
import { looksOpen } from '../src/core/job/proved.ts';
import { withTransaction, type Queryable } from '../src/lib/server/db/pool.ts';
import { engineById } from '../src/lib/server/repositories/engines.ts';
import { insertEvent, lockJob } from '../src/lib/server/repositories/events.ts';
import { gauges } from '../src/lib/server/repositories/gauges.ts';
import { open } from '../src/lib/server/jobs/open-job.ts';
import { holdParts, partsOf } from '../src/lib/server/repositories/stock.ts';
import { slug } from '../src/lib/server/repositories/ids.ts';

/** A line of a demo job: what somebody said or read, in the order in which it happened. */
export type Line =
  | { read: string; step: string; slot: string }
  | { amend: string; from: string; why: string }
  | { done: string }
  | { skip: string; why: string }
  | { sign: SignKind; seen: boolean }
  | { fact: string; is: boolean }
  | { say: FlagId; on: boolean }
  | { choose: string; option: string }
  | { target: [rpm: number, deg: number][]; step: string }
  | { take: string[]; part: PartKind; step: string }
  | { remark: string; step?: string }
  | { by: string };

export interface DemoJob {
  key: string;
  engine: string;
  sheet: string;
  by: string;
  opened: string;
  promised?: string;
  /** the job that led to it, by its key: what was measured there is carried over */
  after?: string;
  lines: Line[];
}

const uuid = (text: string) => {
  const h = createHash('sha256').update(text).digest('hex');
  return `${h.slice(0, 8)}-${h.slice(8, 12)}-4${h.slice(13, 16)}-8${h.slice(17, 20)}-${h.slice(20, 32)}`;
};

/**
 * Writes a job's log as its people would have made it, each event three minutes after the last, and through the same
 * understanding and admission as on a screen: a demo job that the app would refuse stops the seeding.
 */
export async function writeJob(job: DemoJob): Promise<void> {
  const sheet = sheetOf(job.sheet)!;
  const engine = await engineById(slug(job.engine));
  const tray = await gauges();
  const person = (name: string) => ({ id: slug(name), name });
  const { id, carried } = await open({
    engineId: engine.id,
    sheet,
    promisedOn: job.promised ?? null,
    by: person(job.by),
    at: job.opened,
    id: uuid(job.key),
    ...(job.after === undefined ? {} : { after: uuid(job.after) })
  });
  const log: JobEvent[] = [...carried];
  let by = person(job.by);
  let at = new Date(job.opened).getTime();
  await withTransaction(async (c) => {
    await lockJob(id, c);
    for (const [n, line] of job.lines.entries()) {
      if ('by' in line) {
        by = person(line.by);
        continue;
      }
      const state = stateOf(sheet, engine, log);
      const draft = toDraft(line);
      const parts = draft.kind === 'take' ? await partsOf(draft.items, draft.part, c) : [];
      const read = understand(draft, {
        gauge: (g) => tray.find((x) => x.id === g),
        part: (p) => parts.find((x) => x.id === p),
        quantityOf: (r) => state.readings.find((x) => x.id === r)?.quantity
      });
      if (!read.ok) throw new Error(`${job.key}, line ${n + 1}: ${read.error.message}`);
      const body: EventBody = read.out;
      // what a step wants seen, felt or answered was as it should be, wherever a job does not say otherwise
      const view = body.kind === 'done' ? state.steps.find((v) => v.step.id === body.step) : undefined;
      const there = view && wheelThere(state, view);
      if (there) {
        const at = understand(
          { kind: 'reading', step: view.step.id, slot: 'stands', ...typed(there, view.step.id, 'stands') },
          { gauge: (g) => tray.find((x) => x.id === g), part: () => undefined, quantityOf: () => undefined }
        );
        if (!at.ok) throw new Error(`${job.key}, line ${n + 1}: ${at.error.message}`);
        await write(at.out, `${n} stands`, 60_000, c);
      }
      for (const l of view ? looksOpen(state, view) : [])
        await write({ kind: 'choose', school: l.id, option: l.options[0]!.id }, `${n} ${l.id}`, 20_000, c);
      const answer = admit(stateOf(sheet, engine, log), engine, log, body);
      if (!answer.ok) throw new Error(`${job.key}, line ${n + 1}: ${answer.error.message}`);
      await write(body, String(n), 180_000, c);
      if (body.kind === 'take')
        await holdParts(
          id,
          body.part,
          body.parts.map((p) => p.id),
          by,
          c
        );
    }
  });

  async function write(body: EventBody, key: string, after: number, c: Queryable): Promise<void> {
    at += after;
    const eventId = uuid(`${job.key} ${key}`);
    const when = new Date(at).toISOString();
    await insertEvent(id, log.length + 1, eventId, body, by.id, c, when);
    log.push({ ...body, id: eventId, seq: log.length + 1, at: when, by } as JobEvent);
  }

  /** What is read where a step brought the crank, to the half degree: no demo job says it otherwise. Null where it is read. */
  function wheelThere(state: ReturnType<typeof stateOf>, { step }: StepView): string | null {
    if (step.surface !== 'plan' || state.readings.some((r) => r.step === step.id)) return null;
    const wheelDeg = crankTarget(state, step, cycleDegOf(engine))?.wheelDeg;
    return wheelDeg === undefined ? null : (Math.round(wheelDeg * 2) / 2).toFixed(1);
  }

  /** A figure as it is typed, with the first gauge of its kind, as the screen proposes it. */
  function typed(text: string, stepId: string, slotId: string) {
    const step = sheet.steps.find((s) => s.id === stepId);
    const slot = step && slotOf(step, slotId);
    if (!slot) throw new Error(`${job.key}: ${stepId} takes no ${slotId}`);
    const gauge = tray.find((g) => g.kind === slot.gauge);
    return { quantity: slot.quantity, text, defaultUnit: baseUnit(slot.quantity), gaugeId: gauge?.id ?? null };
  }

  function toDraft(line: Exclude<Line, { by: string }>): Draft {
    if ('read' in line)
      return { kind: 'reading', step: line.step, slot: line.slot, ...typed(line.read, line.step, line.slot) };
    if ('amend' in line) {
      const r = stateOf(sheet, engine, log).readings.findLast((x) => x.text === line.from);
      if (!r) throw new Error(`${job.key}: no reading ${line.from} to amend`);
      const { quantity: _, ...f } = typed(line.amend, r.step, r.slot);
      return { kind: 'amend', replaces: r.id, basis: r.basis, reason: line.why, ...f };
    }
    if ('done' in line) return { kind: 'done', step: line.done };
    if ('skip' in line) return { kind: 'skip', step: line.skip, reason: line.why };
    if ('sign' in line) return { kind: 'sign', sign: line.sign, seen: line.seen };
    if ('fact' in line) return { kind: 'fact', fact: line.fact, value: line.is };
    if ('say' in line) return { kind: 'say', flag: line.say, on: line.on };
    if ('take' in line) return { kind: 'take', step: line.step, part: line.part, items: line.take.map(slug) };
    if ('target' in line)
      return { kind: 'target', step: line.step, points: line.target.map(([rpm, deg]) => ({ rpm, deg })) };
    if ('choose' in line) return { kind: 'choose', school: line.choose, option: line.option };
    return { kind: 'remark', text: line.remark, ...(line.step ? { step: line.step } : {}) };
  }
}
