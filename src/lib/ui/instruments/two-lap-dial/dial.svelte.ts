import { mod } from '$core/numerics/angles.ts';
import { placeAt, type DialShape } from './dial-geometry.ts';

/**
 * The dial's own state while it is turned: where the pointer stands and which way it went. Pointer and keyboard end
 * in the same `turnTo`; what was turned is handed on once, when the hand rests.
 */
export class DialTurn {
  /** place while turning, or null when the dial shows what it is given */
  held = $state<number | null>(null);
  #travel = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly shape: () => DialShape,
    private readonly given: () => number | null,
    private readonly settled: (deg: number, travel: number) => void
  ) {}

  get deg(): number | null {
    return this.held ?? this.given();
  }

  turnTo(deg: number): void {
    const cycle = this.shape().cycleDeg;
    const from = this.deg ?? deg;
    const step = mod(deg - from + cycle / 2, cycle) - cycle / 2;
    this.#travel += step;
    this.held = mod(deg, cycle);
  }

  /** Drag: follow the pointer from where the dial stands. */
  follow(x: number, y: number): void {
    this.turnTo(placeAt(this.shape(), x, y, this.deg ?? 0));
  }

  /** Arrow keys: by whole degrees; handed on when no key has come for a moment. */
  nudge(step: number, wait = 700): void {
    this.turnTo((this.deg ?? 0) + step);
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => this.settle(), wait);
  }

  settle(): void {
    clearTimeout(this.#timer);
    if (this.held === null) return;
    const deg = this.held;
    const travel = this.#travel;
    this.#travel = 0;
    if (Math.abs(travel) > 1e-6) this.settled(deg, travel);
    this.held = null;
  }

  drop(): void {
    clearTimeout(this.#timer);
    this.#travel = 0;
    this.held = null;
  }
}
