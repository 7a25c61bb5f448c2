import * as crankWords from '$core/domains/crank/words.ts';
import { mod } from '$core/numerics/angles.ts';
import { NOWHERE, type CrankPlace } from '$core/domains/crank/place/place.ts';
import { cycleDegOf } from '$core/engine/engine.ts';
import type { Prefs } from '$lib/reader/prefs.ts';
import { Follower } from './follower.svelte.ts';
import type { JobSession } from './session.svelte.ts';

/** What one screen looks at: the step in view, the dial while it is being turned, and the plan from there. */
export class JobView {
  /** a step chosen by hand; null follows the work */
  picked = $state<string | null>(null);
  /** the look whose other words are open */
  others = $state<string | null>(null);
  /** the step at which a photograph is asked for, where the run sheet does not ask for one */
  photographing = $state<string | null>(null);
  #held = $state<number | null>(null);
  /** words follow the hand on the dial ten times a second, which is as fast as they can be read */
  #said = new Follower(100);
  /** what is drawn of the way from there, thirty times: the eye sees no difference, and it is painted anew each time */
  #drawn = new Follower(33);
  /** whether the dial is being turned at this moment */
  readonly held = $derived(this.#held !== null);

  constructor(
    private readonly session: JobSession,
    private readonly prefs: () => Prefs
  ) {}

  readonly selected = $derived.by(() => {
    const { steps, current } = this.session.state;
    return steps.find((s) => s.step.id === this.picked) ?? steps[current ?? steps.length - 1]!;
  });

  /** Where the crank is, or where the hand on the dial has it at this moment. */
  readonly place = $derived.by(() => this.#placeAt(this.#held));

  readonly target = $derived.by(() =>
    crankWords.crankTarget(this.session.state, this.selected.step, cycleDegOf(this.session.engine))
  );
  readonly plan = $derived.by(() => this.#planFrom(this.#placeAt(this.#drawn.value)));
  /** Place and plan as words say them. */
  readonly placeSaid = $derived.by(() => this.#placeAt(this.#said.value));
  readonly planSaid = $derived.by(() => this.#planFrom(this.placeSaid));

  #placeAt(held: number | null): CrankPlace {
    const { crank = NOWHERE } = this.session.state.work;
    if (held === null) return crank;
    const cycle = crank.strokeKnown ? cycleDegOf(this.session.engine) : 360;
    return { ...crank, crankDeg: mod(held, cycle), uDeg: null, from: 'told', lastMove: 'unknown' };
  }
  #planFrom(place: CrankPlace) {
    return crankWords.planTo(this.target, this.session.state, this.session.engine, this.prefs().view, place);
  }

  turning(deg: number | null): void {
    this.#held = deg;
    this.#said.follow(deg);
    this.#drawn.follow(deg);
  }

  turned(deg: number, travel: number): void {
    this.turning(null);
    // what was given by where the crank stood may fall: a figure typed next still belongs to the step that is looked at
    this.picked ??= this.selected.step.id;
    this.session.say({
      kind: 'crank',
      crankDeg: Math.round(deg * 10) / 10,
      move: travel >= 0 ? 'forward' : 'backward'
    });
  }

  move(by: 1 | -1): void {
    const { steps } = this.session.state;
    const at = steps.findIndex((s) => s.step.id === this.selected.step.id);
    this.picked = steps[Math.min(steps.length - 1, Math.max(0, at + by))]!.step.id;
  }
}
