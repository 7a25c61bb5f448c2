import type { TargetPoint } from '$core/domains/recurve/recurve-work.ts';

/** The target as it stands on the screen: what was said, until a hand moves it. */
export class TargetHand {
  moved = $state.raw<TargetPoint[] | null>(null);

  constructor(private readonly said: () => TargetPoint[]) {}

  get points(): TargetPoint[] {
    return this.moved ?? this.said();
  }
  set(k: number, deg: number): void {
    this.moved = this.points.map((p, j) => (j === k ? { ...p, deg } : p));
  }
  speedTo(k: number, rpm: number): void {
    this.moved = this.points.map((p, j) => (j === k ? { ...p, rpm } : p)).sort((a, b) => a.rpm - b.rpm);
  }
  add(): void {
    const last = this.points[this.points.length - 1] ?? { rpm: 500, deg: 10 };
    this.moved = [...this.points, { rpm: last.rpm + 500, deg: last.deg }];
  }
  remove(k: number): void {
    this.moved = this.points.filter((_, j) => j !== k);
  }
  drop(): void {
    this.moved = null;
  }
}
