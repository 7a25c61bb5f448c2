import { randomUUID } from 'node:crypto';
import { admit, understand, words, type EventBody, type GaugeRef, type JobEvent } from '../../src/core/job/index.ts';
import { slotOf } from '../../src/core/job/run-sheet.ts';
import { looksOpen } from '../../src/core/job/proved.ts';
import { tallies } from '../../src/core/job/tally.ts';
import { sheetOf, stateOf } from '../../src/core/sheets/index.ts';
import { crankTarget } from '../../src/core/domains/crank/words.ts';
import { cycleDegOf, type Engine, type SheetValue } from '../../src/core/engine/engine.ts';
import { parseSheetValue } from '../../src/core/sheets/data-sheet.ts';
import type { PartKind } from '../../src/core/tray/part-kinds.ts';
import { baseUnit } from '../../src/core/units/units.ts';

export const GAUGES: Record<string, GaugeRef> = {
  wheel: { id: 'wheel', name: 'Wheel', resolution: 0.5, accuracy: 0.25, scatter: 0.1, scatterDof: 20 },
  dial: { id: 'dial', name: 'Dial', resolution: 0.01, accuracy: 0.02, scatter: 0.003, scatterDof: 20 },
  strobe: { id: 'strobe', name: 'Strobe', resolution: 0, accuracy: 0.5, scatter: 0.1, scatterDof: 20 },
  micrometer: {
    id: 'micrometer',
    name: 'Micrometer',
    resolution: 0.0127,
    accuracy: 0.0127,
    scatter: 0.003,
    scatterDof: 20
  },
  blade: { id: 'blade', name: 'Blades', resolution: 0, accuracy: 0.005, scatter: 0.003, scatterDof: 20 },
  rule: { id: 'rule', name: 'Rule', resolution: 0.5, accuracy: 0.1, scatter: 0.1, scatterDof: 20 },
  depth: { id: 'depth', name: 'Depth gauge', resolution: 0.02, accuracy: 0.04, scatter: 0.005, scatterDof: 20 },
  pressure: { id: 'pressure', name: 'Vacuum gauge', resolution: 1, accuracy: 1, scatter: 0.3, scatterDof: 20 },
  torque: { id: 'torque', name: 'Torque wrench', resolution: 0.5, accuracy: 0.8, scatter: 0.3, scatterDof: 20 }
};

/** The wheel in a hand that scatters as far as the pairs of the scenario lie apart. */
export const LOOSE_WHEEL: GaugeRef = { ...GAUGES.wheel!, scatter: 0.3 };

export const SHEET: Record<string, string> = {
  cycle: 'four-stroke',
  cylinders: '4',
  firingOrder: '1-2-4-3',
  runningDirection: 'cw',
  strokeMm: '92',
  rodMm: '171',
  backlashDeg: '15',
  rotorDirection: 'ccw',
  ratio: '0.5',
  rimDiameterMm: '82',
  vacuumUnit: 'none',
  staticBtdc: '7',
  staticMinBtdc: '6',
  staticMaxBtdc: '8',
  tdcWithinDeg: '0.5'
};

export function engineWith(values: Record<string, string>): Engine {
  const out: Record<string, SheetValue> = {};
  for (const [name, given] of Object.entries(values)) {
    const read = parseSheetValue(name, given, null);
    if (!read.ok) throw new Error(read.error.message);
    out[name] = { name, given, unit: null, value: read.out, source: 'works card 14' };
  }
  return { id: 'engine', name: 'Test engine', summary: '', values: out };
}

/** Lengths as plain millimetres, for the sentences of a job. */
export const mm: words.LengthText = (v, decimals = 2) => `${v.toFixed(decimals)} mm`;

/** A job played by hand: each `say` is admitted or refused like on a screen. */
export class PlayedJob {
  readonly log: JobEvent[] = [];
  constructor(
    readonly engine: Engine = engineWith(SHEET),
    readonly sheetId = 'fit-from-scratch'
  ) {}

  get sheet() {
    return sheetOf(this.sheetId)!;
  }
  get state() {
    return stateOf(this.sheet, this.engine, this.log);
  }
  tryTo(body: EventBody) {
    return admit(this.state, this.engine, this.log, body);
  }
  say(body: EventBody, by = 'Ines Farrow'): JobEvent {
    const answer = this.tryTo(body);
    if (!answer.ok) throw new Error(answer.error.message);
    const n = this.log.length + 1;
    const event = {
      ...body,
      id: randomUUID(),
      seq: n,
      at: new Date(1_700_000_000_000 + n * 60_000).toISOString(),
      by: { id: by, name: by }
    } as JobEvent;
    this.log.push(event);
    return event;
  }
  done(...steps: string[]): this {
    for (const step of steps) {
      this.count(step);
      this.stands(step);
      this.look(step);
      this.say({ kind: 'done', step });
    }
    return this;
  }
  /** The crank brought where a step wants it, and read there, where nothing was read yet. */
  private stands(id: string): void {
    const { state } = this;
    const view = this.view(id);
    if (view.step.surface !== 'plan' || state.readings.some((r) => r.step === id)) return;
    const target = crankTarget(state, view.step, cycleDegOf(this.engine));
    if (target?.wheelDeg !== undefined) this.read(id, 'stands', target.wheelDeg.toFixed(1));
  }
  /** What a step wants looked at, felt or answered and nobody has: all is as it should be. */
  look(id: string): this {
    for (const l of looksOpen(this.state, this.view(id)))
      this.say({ kind: 'choose', school: l.id, option: l.options[0]!.id });
    return this;
  }
  /** A state as an earlier log left it, past what admission asks for it. */
  given(flag: string, on = true): this {
    const { id: _, ...last } = this.log[this.log.length - 1] ?? { by: { id: 'log', name: 'log' }, at: '', seq: 0 };
    const body = { kind: 'say' as const, flag, on, seen: 'as the log has it' };
    this.log.push({ by: last.by, at: last.at, ...body, id: randomUUID(), seq: this.log.length + 1 } as JobEvent);
    return this;
  }
  /** What a step must count and has not, as a hand counts that loses nothing: six out, and as many back as were out. */
  private count(id: string): void {
    const { state } = this;
    const step = this.sheet.steps.find((s) => s.id === id)!;
    for (const t of tallies(state, step))
      if (t.slot.required && t.n === null && !t.each) this.read(id, t.slot.slot, String(t.of ?? 6));
  }
  /** A reading as it is typed, understood as a screen and the server understand it. */
  reading(step: string, slot: string, text: string, gauge: GaugeRef | null | undefined = undefined): EventBody {
    const found = slotOf(
      this.sheet.steps.find((s) => s.id === step)!,
      slot
    )!;
    const held = gauge === undefined ? (GAUGES[found.gauge] ?? null) : gauge;
    const read = understand(
      {
        kind: 'reading',
        step,
        slot,
        quantity: found.quantity,
        text,
        defaultUnit: baseUnit(found.quantity),
        gaugeId: held?.id ?? null
      },
      { gauge: () => held ?? undefined, part: () => undefined, quantityOf: () => found.quantity }
    );
    if (!read.ok) throw new Error(read.error.message);
    return read.out;
  }
  figure(step: string, slot: string, text: string) {
    const { quantity, ...f } = this.reading(step, slot, text) as EventBody & { kind: 'reading' };
    const { text: typed, unit, value, resolution, gauge } = f;
    return { quantity, text: typed, unit, value, resolution, gauge };
  }
  read(step: string, slot: string, text: string): JobEvent {
    return this.say(this.reading(step, slot, text));
  }
  pairs(depth: string, ...rows: [string, string][]): this {
    return this.pairsAt('tdc', depth, ...rows);
  }
  /** Pairs at a step that a sheet gives another name. */
  pairsAt(step: string, depth: string, ...rows: [string, string][]): this {
    return this.pairsBy(GAUGES.wheel!, step, depth, ...rows);
  }
  pairsBy(wheel: GaugeRef, step: string, depth: string, ...rows: [string, string][]): this {
    this.read(step, 'depth', depth);
    for (const [b, a] of rows) {
      this.say(this.reading(step, 'before', b, wheel));
      this.say(this.reading(step, 'after', a, wheel));
    }
    return this;
  }
  /** As far as true TDC found, by the scenario's readings. */
  toTdc(): this {
    this.done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel');
    return this.pairsBy(LOOSE_WHEEL, 'tdc', '1.8', ['342.5', '11.5'], ['343.5', '12.0'], ['343.0', '11.5']);
  }
  /** The crank found on a sheet that has its own steps before: as far as the reference, on compression. */
  toReference(depth = '1.8'): this {
    this.pairs(depth, ['343.5', '12.5'], ['343.5', '12.5'], ['343.5', '12.5']).done('tdc', 'probe-out');
    if (this.sheet.steps.some((s) => s.id === 'mark')) this.done('mark');
    this.say({ kind: 'sign', sign: 'airPushedOut', seen: true });
    this.say({ kind: 'sign', sign: 'intakeJustClosed', seen: true });
    return this.done('stroke', 'ref');
  }
  take(step: string, part: PartKind, ...pieces: [name: string, thicknessMm: number, uMm: number][]): JobEvent {
    return this.say({
      kind: 'take',
      step,
      part,
      parts: pieces.map(([name, thicknessMm, uMm]) => ({
        id: name,
        name,
        kind: part,
        thicknessMm,
        uMm,
        rateNPerMm: null,
        uRate: null,
        uPreload: null,
        preloadN: null,
        deg: null
      }))
    });
  }
  toStroke(): this {
    this.toTdc().done('tdc', 'mark', 'probe-out');
    this.say({ kind: 'sign', sign: 'airPushedOut', seen: true });
    this.say({ kind: 'sign', sign: 'intakeJustClosed', seen: true });
    return this.done('stroke');
  }
  view(step: string) {
    return this.state.steps.find((s) => s.step.id === step)!;
  }
  get current(): string | null {
    const { steps, current } = this.state;
    return current === null ? null : steps[current]!.step.id;
  }
}

/** The finding at the top of a step; a step that says nothing but its instruction has found nothing. */
export function headline(job: PlayedJob, id: string): string {
  const view = job.view(id);
  const said = words.headline(job.state, job.engine, view, mm);
  if (said === view.step.say) throw new Error(`${id} has no finding: it says its instruction, "${said}"`);
  return said;
}
