import type { Unit } from '$core/units/units.ts';
import { readingParse, type ParsedReading } from '$core/calculations/reading/reading-parse.ts';
import { doubt, gaugeDoubt } from '$core/job/doubt.ts';
import type { Aim } from '$core/job/domain.ts';
import { aimText, nextSlot, readFor } from '$core/job/next-slot.ts';
import type { Reading } from '$core/job/replayed.ts';
import { slotOf, type Slot, type Step } from '$core/job/run-sheet.ts';
import type { Prefs } from '$lib/reader/prefs.ts';
import { lengthText, understood, unitFor } from '../../reader/units.ts';
import type { JobSession } from './session.svelte.ts';

/** What the line at the foot is open for. Everything typed on a job goes through it. */
export type Asking =
  | { for: 'figure' }
  | { for: 'amend'; reading: Reading }
  | { for: 'amend-why'; reading: Reading; text: string; gaugeId: string | null }
  | { for: 'skip'; step: Step }
  | { for: 'reopen'; step: Step }
  | { for: 'override'; step: Step; flags: string[]; rules?: string[]; open?: string }
  | { for: 'seen'; flag: string; on: boolean }
  | { for: 'happened'; rule: string }
  | { for: 'remark'; step: Step | null };

/** The reading line: what is typed, what it is understood to be, and what Enter will do with it. */
export class ReadingLine {
  text = $state('');
  asking = $state.raw<Asking>({ for: 'figure' });
  /** a doubt already shown for exactly this text; Enter then keeps it */
  doubted = $state('');
  prefer = $state<string | undefined>();
  chosenGauge = $state<Record<string, string>>({});
  /** the gauge that an amended reading was really read with, where that is what was wrong */
  #otherGauge = $state<string | undefined>();

  constructor(
    private readonly session: JobSession,
    private readonly step: () => Step | null,
    private readonly prefs: () => Prefs
  ) {}

  /** Where a figure would go now. */
  readonly aim = $derived.by((): Aim | null => {
    const step = this.step();
    if (!step) return null;
    if (this.asking.for === 'amend') {
      const { reading } = this.asking;
      const slot = slotOf(step, reading.slot) ?? this.#anySlot(reading);
      return slot ? { slot, as: reading.slot, n: null } : null;
    }
    return nextSlot(this.session.state, step, this.prefer);
  });

  readonly gauges = $derived.by(() => (this.aim ? this.session.gaugesOf(this.aim.slot.gauge) : []));
  readonly gauge = $derived.by(() => {
    if (this.asking.for === 'amend')
      return this.session.gauge(this.#otherGauge ?? this.asking.reading.gauge?.id) ?? null;
    return this.aim ? this.#gaugeFor(this.aim.slot) : null;
  });

  /** Reads on with this gauge; while a reading is amended, it says what that one was read with. */
  chooseGauge(kind: string, id: string): void {
    if (this.asking.for === 'amend') this.#otherGauge = id;
    else this.chosenGauge = { ...this.chosenGauge, [kind]: id };
  }

  /** What the text is understood to be: a sentence, or why it cannot be read. */
  readonly meaning = $derived.by((): { ok: boolean; label: string; text: string } => {
    const step = this.step();
    const typed = this.text.trim();
    if (!step || typed === '' || (this.asking.for !== 'figure' && this.asking.for !== 'amend'))
      return { ok: true, label: '', text: '' };
    if (this.asking.for === 'amend') {
      const { reading } = this.asking;
      const read = this.#reread(reading, typed);
      if (!read.ok) return { ok: false, label: '', text: read.error.message };
      const label = this.aim ? `${aimText(this.aim)}:` : '';
      return { ok: true, label, text: understood(read.out, reading.quantity, this.prefs()) };
    }
    if (!this.aim) return { ok: true, label: 'no figure is read at this step: kept as a remark', text: '' };
    const read = this.#read(step, typed, this.prefer);
    if (!read.ok) return { ok: false, label: '', text: read.error.message };
    const { aim, figure } = read.out;
    return { ok: true, label: `${aimText(aim)}:`, text: understood(figure, aim.slot.quantity, this.prefs()) };
  });

  /** What works out the step in hand is not here yet: where a figure goes cannot be said. */
  get waits(): boolean {
    const step = this.step();
    return step !== null && !this.session.has(step.id);
  }
  ready(): Promise<void> {
    return this.session.ready(this.step()?.id);
  }

  /** Answers false when nothing was done and the line stays open. */
  enter(): boolean {
    const typed = this.text.trim();
    const a = this.asking;
    if (typed === '') return false;
    switch (a.for) {
      case 'figure':
        return this.#logFigure(typed);
      case 'amend':
        return this.#amendFigure(a.reading, typed);
      case 'amend-why':
        return this.#close(
          this.session.say({
            kind: 'amend',
            replaces: a.reading.id,
            basis: a.reading.basis,
            reason: typed,
            text: a.text,
            defaultUnit: this.#unit(a.reading),
            gaugeId: a.gaugeId
          }) === null
        );
      case 'skip':
        return this.#close(this.session.say({ kind: 'skip', step: a.step.id, reason: typed }) === null);
      case 'reopen':
        return this.#close(this.session.say({ kind: 'reopen', step: a.step.id, reason: typed }) === null);
      case 'override':
        return this.#close(
          this.session.say({
            kind: 'override',
            step: a.step.id,
            flags: a.flags,
            ...(a.rules ? { rules: a.rules } : {}),
            ...(a.open === undefined ? {} : { open: a.open }),
            reason: typed
          }) === null
        );
      case 'seen':
        return this.#close(this.session.say({ kind: 'say', flag: a.flag, on: a.on, seen: typed }) === null);
      case 'happened':
        return this.#close(this.session.say({ kind: 'happened', rule: a.rule, note: typed }) === null);
      case 'remark':
        return this.#close(
          this.session.say({ kind: 'remark', text: typed, ...(a.step ? { step: a.step.id } : {}) }) === null
        );
    }
  }

  open(asking: Asking, text = ''): void {
    this.asking = asking;
    this.#otherGauge = undefined;
    this.text = text;
    this.doubted = '';
  }

  drop(): void {
    this.open({ for: 'figure' });
    this.prefer = undefined;
  }

  #logFigure(typed: string): boolean {
    const step = this.step();
    // where a figure goes is the trade's to say: the line stays open until it is here
    if (!step || this.waits) return false;
    if (!this.aim) return this.#close(this.session.say({ kind: 'remark', text: typed, step: step.id }) === null);
    const read = this.#read(step, typed, this.prefer);
    if (!read.ok) return false;
    const { aim, figure, text } = read.out;
    const why = this.#doubt(step, aim, figure, text);
    if (why && this.doubted !== typed) {
      this.doubted = typed;
      return false;
    }
    const refused = this.session.say({
      kind: 'reading',
      step: step.id,
      slot: aim.as,
      quantity: aim.slot.quantity,
      text,
      defaultUnit: unitFor(this.prefs(), aim.slot.quantity),
      gaugeId: this.gauge?.id ?? null
    });
    return this.#close(refused === null);
  }

  /** The question about an improbable figure, while it stands. */
  readonly question = $derived.by((): string | null => {
    const step = this.step();
    if (!step || this.doubted === '' || this.doubted !== this.text.trim()) return null;
    const read = this.#read(step, this.doubted, this.prefer);
    return read.ok ? this.#doubt(step, read.out.aim, read.out.figure, read.out.text) : null;
  });

  #doubt(step: Step, aim: Aim, figure: ParsedReading, text: string): string | null {
    const { state, engine } = this.session;
    const improbable = doubt({ state, engine, step, aim, figure, text, len: lengthText(this.prefs()) });
    return improbable ?? (this.#gaugeFor(aim.slot) ? null : gaugeDoubt(state, aim.slot));
  }

  #gaugeFor(slot: Slot) {
    const all = this.session.gaugesOf(slot.gauge);
    const chosen = this.chosenGauge[slot.gauge];
    // what was read with last on this job, or the only one there is; among several nobody's choice is guessed
    const last = () => this.session.state.readings.findLast((r) => r.gauge && all.some((g) => g.id === r.gauge!.id));
    return all.find((g) => g.id === (chosen ?? last()?.gauge?.id)) ?? (all.length === 1 ? all[0]! : null);
  }

  #read(step: Step, typed: string, prefer: string | undefined) {
    const meant = (s: Slot) => ({ unit: unitFor(this.prefs(), s.quantity), perRevMm: this.#gaugeFor(s)?.perRevMm });
    return readFor(this.session.state, step, typed, meant, prefer);
  }

  /** What is typed instead of a reading, as the log will understand it: in the unit and by the gauge that it was read with. */
  #reread(reading: Reading, typed: string) {
    const perRevMm = this.gauge?.perRevMm;
    return readingParse({
      text: typed,
      quantity: reading.quantity,
      defaultUnit: this.#unit(reading),
      ...(perRevMm ? { perRevMm } : {})
    });
  }

  #amendFigure(reading: Reading, typed: string): boolean {
    if (!this.meaning.ok) return false;
    const gaugeId = this.gauge?.id ?? reading.gauge?.id ?? null;
    this.open({ for: 'amend-why', reading, text: typed, gaugeId });
    return false;
  }

  #unit(r: Reading): Unit {
    return r.unit === 'clock' ? 'deg' : (r.unit as Unit);
  }

  #anySlot(reading: Reading) {
    const step = this.session.sheet.steps.find((s) => s.id === reading.step);
    return step && slotOf(step, reading.slot);
  }

  #close(done: boolean): boolean {
    if (done) this.drop();
    return done;
  }
}
