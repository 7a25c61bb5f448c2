import type { Engine } from '$core/engine/engine.ts';
import {
  admit,
  understand,
  type Domain,
  type Draft,
  type JobEvent,
  type Person,
  type RunSheet
} from '$core/job/index.ts';
import type { EventInput } from '$core/job/event-input.ts';
import type { TrayGauge } from '$core/tray/gauge-kinds.ts';
import type { StockItem } from '$core/tray/part-kinds.ts';
import { Outbox } from './outbox.svelte.ts';
import type { Refused } from './waiting.ts';
import { stateOf } from './state-memo.ts';

export type { Draft };

/** What a job is followed from: its log, the sheet it runs by, the engine and the tray. */
export interface SessionData {
  job: { id: string };
  sheet: RunSheet;
  domains: Domain[];
  engine: Engine;
  log: JobEvent[];
  gauges: TrayGauge[];
  stock: StockItem[];
}

/**
 * One job on one screen: the log as the server has it, what was said here and is not heard yet, and the state that
 * follows from both. What is typed counts at once; the server's answer only takes its place.
 */
export class JobSession {
  engine = $state.raw<Engine>(null!);
  log = $state.raw<JobEvent[]>([]);
  outbox: Outbox;
  refusal = $state.raw<Refused | null>(null);
  announcement = $state('');
  stock = $state.raw<StockItem[]>([]);
  readonly jobId: string;
  readonly sheet: RunSheet;
  readonly #domains: Domain[];
  #gauges: TrayGauge[];
  #me: () => Person | null;
  #fetching: Promise<void> | null = null;

  constructor(data: SessionData, me: () => Person | null) {
    this.jobId = data.job.id;
    this.sheet = data.sheet;
    this.#domains = data.domains;
    this.stock = data.stock;
    this.engine = data.engine;
    this.log = data.log;
    this.#gauges = data.gauges;
    this.#me = me;
    this.outbox = new Outbox(`/api/jobs/${data.job.id}/events`, `nemrik-unsent-${data.job.id}`, (e) => this.#take([e]));
  }

  /** Log and unheard events together. */
  readonly all = $derived.by(() => {
    if (this.outbox.waiting.length === 0) return this.log;
    const heard = new Set(this.log.map((e) => e.id));
    let seq = this.log[this.log.length - 1]?.seq ?? 0;
    const pending = this.outbox.waiting.filter((p) => !heard.has(p.input.id)).map((p) => ({ ...p.shown, seq: ++seq }));
    return [...this.log, ...pending] as JobEvent[];
  });

  readonly state = $derived.by(() => stateOf(this.sheet, this.engine, this.all, this.#domains));
  readonly unsent = $derived.by(() => new Set(this.outbox.waiting.map((p) => p.input.id)));

  gaugesOf(kind: string): TrayGauge[] {
    return this.#gauges.filter((g) => g.kind === kind);
  }

  readings(stepId: string) {
    return this.state.readings.filter((r) => r.step === stepId);
  }

  /** Says something to the log. Answers the refusal when the core would not admit it; then nothing is sent. */
  say(draft: Draft): Refused | null {
    this.refusal = null;
    const me = this.#me();
    if (!me)
      return this.#refuse({
        code: 'nobody-acts',
        message: 'Choose your name at the top first: every reading is kept with who took it.'
      });
    const read = understand(draft, {
      gauge: (g) => this.#gauges.find((x) => x.id === g),
      part: (p) => this.stock.find((x) => x.id === p),
      quantityOf: (r) => this.state.readings.find((x) => x.id === r)?.quantity
    });
    if (!read.ok) return this.#refuse({ code: read.error.code, message: read.error.message });
    const body = read.out;
    const answer = admit(this.state, this.engine, this.all, body);
    if (!answer.ok) return this.#refuse({ code: answer.error.code, message: answer.error.message });
    const id = crypto.randomUUID();
    const shown = { ...body, id, seq: 0, at: new Date().toISOString(), by: me } as JobEvent;
    this.outbox.post({ id, ...draft } as EventInput, shown);
    return null;
  }

  /** The last thing this person wrote that can still be undone. */
  get undoable(): JobEvent | null {
    const me = this.#me();
    return (
      this.all.findLast((e) => e.by.id === me?.id && e.kind !== 'undo' && !this.state.replayed.undone.has(e.id)) ?? null
    );
  }

  /** Opens the live line; to be called in the browser only. Answers how to close it. */
  connect(): () => void {
    this.outbox.wake();
    const live = new EventSource(`/api/jobs/${this.jobId}/live?engine=${encodeURIComponent(this.engine.id)}`);
    live.onmessage = (m) => {
      const told = JSON.parse(m.data) as { seq?: number; engine?: string; stock?: boolean; resync?: boolean };
      if (told.resync) void this.refreshStock();
      if (told.engine) void this.refreshEngine();
      else if (told.stock) void this.refreshStock();
      else if (told.resync || (told.seq ?? 0) > (this.log[this.log.length - 1]?.seq ?? 0)) void this.catchUp();
    };
    return () => {
      live.close();
      this.outbox.sleep();
    };
  }

  async catchUp(): Promise<void> {
    // one at a time; a call that comes meanwhile asks once more afterwards
    const before = this.#fetching;
    if (before) await before;
    this.#fetching = (async () => {
      const after = this.log[this.log.length - 1]?.seq ?? 0;
      const r = await fetch(`/api/jobs/${this.jobId}/events?after=${after}`).catch(() => null);
      if (r?.ok) this.#take((await r.json()).out);
    })();
    await this.#fetching;
    this.#fetching = null;
  }

  async refreshEngine(): Promise<void> {
    // the data sheet, and what earlier jobs found: both are told as a change of the engine
    const r = await fetch(`/api/jobs/${this.jobId}/engine`).catch(() => null);
    if (r?.ok) this.engine = (await r.json()).out;
  }

  async refreshStock(): Promise<void> {
    const r = await fetch('/api/stock').catch(() => null);
    if (r?.ok) this.stock = (await r.json()).out;
  }

  #take(events: JobEvent[]): void {
    const have = new Set(this.log.map((e) => e.id));
    const fresh = events.filter((e) => !have.has(e.id));
    if (fresh.length === 0) return;
    const log = [...this.log, ...fresh].sort((a, b) => a.seq - b.seq);
    // events of others may come after one of ours is answered: fetch what lies between
    const gap = log[log.length - 1]!.seq !== log.length;
    this.log = gap ? this.log : log;
    if (gap) void this.#catchGap();
    const other = fresh.find((e) => e.by.id !== this.#me()?.id);
    if (other)
      this.announcement = `${other.by.name}: ${other.kind === 'reading' ? `reading ${other.text}` : other.kind}`;
  }

  async #catchGap(): Promise<void> {
    const r = await fetch(`/api/jobs/${this.jobId}/events?after=0`).catch(() => null);
    if (r?.ok) this.log = (await r.json()).out;
  }

  #refuse(r: Refused): Refused {
    this.refusal = r;
    return r;
  }
}
