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
import { loadDomains, type SchoolId } from '$core/domains/list.ts';
import { tradesAt } from '$core/job/needed.ts';
import type { TrayGauge } from '$core/tray/gauge-kinds.ts';
import type { NamedGauge } from '$core/job/narrow.ts';
import { learntInHand, learntKey, learntWith, trayInHand, type LearntHand } from '$core/tray/hands.ts';
import { readsOf } from '$core/tray/reads.ts';
import type { StockItem } from '$core/tray/part-kinds.ts';
import { Outbox } from './outbox.svelte.ts';
import { follow } from '../live/live.ts';
import { News } from '../live/news.ts';
import type { Unsent } from '../unsent/unsent.svelte.ts';
import type { Refused } from '../unsent/waiting.ts';
import { pageKeptAt } from '../live/kept-pages.ts';
import { keepState, keptState } from './last-known.ts';
import { newId } from './new-id.ts';
import type { Said } from './said.ts';
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
  /** how the hand of a person scatters, as other jobs told; null where nobody was sitting there */
  hand?: { person: string; learnt: LearntHand } | null;
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
  #domains = $state.raw<Domain[]>([]);
  #gauges: TrayGauge[];
  #hand: SessionData['hand'];
  #me: () => Person | null;
  /** when the state shown was known to be the newest, while the server does not answer and this is the last known one */
  knownAt = $state<string | null>(null);
  readonly #news = new News(() => this.#fetchLog());
  readonly #engineNews = new News(() => this.#fetchEngine());
  readonly #stockNews = new News(() => this.#fetchStock());
  /** how many of what waits are in sight: many that are said at once come bit by bit, so that the page is never held up */
  inSight = $state(Infinity);

  constructor(data: SessionData, me: () => Person | null, unsent?: Unsent) {
    this.jobId = data.job.id;
    this.sheet = data.sheet;
    this.#domains = data.domains;
    this.stock = data.stock;
    this.engine = data.engine;
    this.log = data.log;
    this.#gauges = data.gauges;
    this.#hand = data.hand;
    this.#me = me;
    this.outbox = new Outbox(data.job.id, (e) => this.#take(e), unsent);
  }

  /** Log and unheard events together. */
  readonly all = $derived.by(() => {
    if (this.outbox.waiting.length === 0) return this.log;
    const heard = new Set(this.log.map((e) => e.id));
    let seq = this.log[this.log.length - 1]?.seq ?? 0;
    const pending = this.outbox.waiting
      .slice(0, this.inSight)
      .filter((p) => !heard.has(p.input.id))
      .map((p) => ({ ...p.shown, seq: ++seq }));
    return [...this.log, ...pending] as JobEvent[];
  });

  readonly state = $derived.by(() => stateOf(this.sheet, this.engine, this.all, this.#domains));
  readonly unsent = $derived.by(() => new Set(this.outbox.waiting.map((p) => p.input.id)));

  /** Whether what works out this step is here; the trades of later steps are fetched after the page stands. */
  has(stepId: string): boolean {
    const here = new Set(this.#domains.map((d) => d.name));
    return this.#tradesAt(stepId).every((t) => here.has(t));
  }

  /** Fetches what works out these steps, or all of them; it fails where the network is gone. */
  async ready(stepId?: string): Promise<void> {
    if (stepId !== undefined && this.has(stepId)) return;
    const here = new Set(this.#domains.map((d) => d.name));
    const wanted = stepId === undefined ? this.sheet.domains : this.#tradesAt(stepId);
    const fetched = await loadDomains(wanted.filter((d) => !here.has(d)));
    // others may have come meanwhile: none is given up again
    const all = [...this.#domains, ...fetched];
    const next = this.sheet.domains.flatMap((name) => all.find((d) => d.name === name) ?? []);
    if (next.length !== this.#domains.length) this.#domains = next;
  }

  #tradesAt = (stepId: string): string[] =>
    tradesAt(this.sheet, stepId, ({ school, option }) => this.state.schools[school as SchoolId]?.option === option);

  get me(): Person | null {
    return this.#me();
  }

  gauge = (id: string | undefined): TrayGauge | undefined => this.#gauges.find((g) => g.id === id);

  gaugesOf(kind: string): TrayGauge[] {
    return this.#gauges.filter((g) => g.kind === kind);
  }

  readings(stepId: string) {
    return this.state.readings.filter((r) => r.step === stepId);
  }

  /** Says something to the log. Answers the refusal when the core would not admit it; then nothing is sent. */
  say(draft: Draft): Refused | null {
    this.refusal = null;
    const said = this.understood(draft, true);
    if ('code' in said) return (this.refusal = said);
    this.outbox.post(said.input, said.shown);
    return null;
  }

  /** What a draft says to the log, by whom and when; or why it cannot be said. Nothing is written. */
  understood(draft: Draft, mustBeAdmitted: boolean): Refused | Said {
    const me = this.#me();
    if (!me)
      return {
        code: 'nobody-acts',
        message: 'Choose your name at the top first: every reading is kept with who took it.'
      };
    const read = understand(draft, {
      gauge: (g) => this.#inHand(this.gauge(g), this.#slotOf(draft)),
      part: (p) => this.stock.find((x) => x.id === p),
      quantityOf: (r) => this.state.readings.find((x) => x.id === r)?.quantity
    });
    if (!read.ok) return { code: read.error.code, message: read.error.message };
    const body = read.out;
    if (mustBeAdmitted) {
      const answer = admit(this.state, this.engine, this.all, body);
      if (!answer.ok) return { code: answer.error.code, message: answer.error.message };
    }
    const id = newId();
    const shown = { ...body, id, seq: 0, at: new Date().toISOString(), by: me } as JobEvent;
    return { input: { id, ...draft } as EventInput, shown };
  }

  /** The gauges of a kind as this hand reads them: what could be taken instead of the one in hand. */
  reach = (kind: string): NamedGauge[] =>
    this.gaugesOf(kind).map((g) => ({ id: g.id, name: g.name, ...trayInHand(this.#inHand(g, null)!) }));

  /** A gauge in the hand of who sits here, as the server will keep it; of anybody else this page was not told. */
  #inHand(gauge: TrayGauge | undefined, slot: string | null): TrayGauge | undefined {
    const mine = this.#hand?.person === this.#me()?.id ? this.#hand : null;
    if (!gauge || !mine) return gauge;
    return learntInHand(
      gauge,
      slot === null ? learntWith(mine.learnt, gauge.id) : mine.learnt[learntKey(gauge.id, readsOf(slot))]
    );
  }

  #slotOf(draft: Draft): string | null {
    if (draft.kind === 'reading') return draft.slot;
    if (draft.kind !== 'amend') return null;
    return this.state.readings.find((r) => r.id === draft.replaces)?.slot ?? null;
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
    this.#fromLastKnown();
    const all = [this.#news, this.#engineNews, this.#stockNews];
    for (const n of all) n.open();
    const retry = () => all.forEach((n) => n.retry());
    addEventListener('online', retry);
    const leave = follow((told) => {
      const newest = this.log[this.log.length - 1]?.seq ?? 0;
      if (told.resync || (told.job === this.jobId && (told.seq ?? 0) > newest)) void this.catchUp();
      if (told.engine === this.engine.id) void this.refreshEngine();
      if (told.resync || told.stock) void this.refreshStock();
    });
    return () => {
      leave();
      removeEventListener('online', retry);
      for (const n of all) n.close();
      this.outbox.sleep();
    };
  }

  catchUp = (): Promise<void> => this.#news.want();
  /** The data sheet, and what earlier jobs found: both are told as a change of the engine. */
  refreshEngine = (): Promise<void> => this.#engineNews.want();
  refreshStock = (): Promise<void> => this.#stockNews.want();

  async #fetchLog(): Promise<boolean> {
    const after = this.log[this.log.length - 1]?.seq ?? 0;
    const events = await fetched<JobEvent[]>(`/api/jobs/${this.jobId}/events?after=${after}`);
    if (!events) return false;
    this.#take(events);
    if (this.knownAt !== null) {
      this.knownAt = null;
      void this.refreshEngine();
    }
    return true;
  }

  async #fetchEngine(): Promise<boolean> {
    const engine = await fetched<Engine>(`/api/jobs/${this.jobId}/engine`);
    if (engine) this.engine = engine;
    return engine !== null;
  }

  async #fetchStock(): Promise<boolean> {
    const stock = await fetched<StockItem[]>('/api/stock');
    if (stock) this.stock = stock;
    return stock !== null;
  }

  /** A page that was shown without the server begins with what was last known of the job here. */
  #fromLastKnown(): void {
    this.knownAt = pageKeptAt();
    if (this.knownAt === null) return;
    void keptState(this.jobId).then((last) => {
      if (!last || last.log.length <= this.log.length) return;
      this.log = last.log;
      this.engine = last.engine;
      if (this.knownAt !== null) this.knownAt = last.at;
    });
  }

  #take(events: JobEvent[]): void {
    const have = new Set(this.log.map((e) => e.id));
    const fresh = events.filter((e) => !have.has(e.id));
    if (fresh.length === 0) return;
    const log = [...this.log, ...fresh].sort((a, b) => a.seq - b.seq);
    // events of others may come after one of ours is answered: fetch what lies between
    const gap = log[log.length - 1]!.seq !== log.length;
    if (gap) void this.#catchGap();
    else {
      this.log = log;
      keepState(this.jobId, () => ({ log: this.log, engine: this.engine }));
    }
    const other = fresh.find((e) => e.by.id !== this.#me()?.id);
    if (other)
      this.announcement = `${other.by.name}: ${other.kind === 'reading' ? `reading ${other.text}` : other.kind}`;
  }

  async #catchGap(): Promise<void> {
    const whole = await fetched<JobEvent[]>(`/api/jobs/${this.jobId}/events?after=0`);
    if (whole) this.log = whole;
    else void this.catchUp();
  }
}

/** What an address of the API answers, or null when it does not. */
async function fetched<T>(address: string): Promise<T | null> {
  const r = await fetch(address).catch(() => null);
  const body = r?.ok ? ((await r.json().catch(() => null)) as { out: T } | null) : null;
  return body?.out ?? null;
}
