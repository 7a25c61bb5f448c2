import * as crankWords from '../src/core/domains/crank/words.ts';
import { NOWHERE } from '../src/core/domains/crank/crank-place.ts';
import { stateOf } from '../src/core/sheets/index.ts';
import { cycleState } from '../src/core/calculations/cycle/cycle-state.ts';
import { slider, dropMm } from '../src/core/calculations/piston/slider.ts';
import { tdcFit } from '../src/core/calculations/tdc/tdc-fit.ts';
import { driveIndex } from '../src/core/calculations/drive/drive-index.ts';
import { pumpChart } from '../src/core/calculations/pump/pump-chart.ts';
import { dialHands, liftAlong } from '../src/lib/ui/instruments/pump/pump-geometry.ts';
import { stackPick } from '../src/core/calculations/stack/stack-pick.ts';
import { curveFit } from '../src/core/calculations/curve/curve-fit.ts';
import { curveMatch } from '../src/core/calculations/curve/curve-match.ts';
import { curveSwapSprings } from '../src/core/calculations/curve/curve-swap-springs.ts';
import { PlayedJob } from '../tests/support/played.ts';

/** The core's own share, in milliseconds a call: median of batches after warming up. */
function measure(what: string, asked: string, call: () => unknown, batch = 20): void {
  for (let k = 0; k < 30; k++) call();
  const times: number[] = [];
  for (let b = 0; b < 25; b++) {
    const from = performance.now();
    for (let k = 0; k < batch; k++) call();
    times.push((performance.now() - from) / batch);
  }
  const ms = times.sort((a, b) => a - b)[12]!;
  console.log(`${what.padEnd(58)} ${`${ms.toFixed(3)} ms`.padStart(16)}   asked ${asked}`);
}

const job = new PlayedJob().toStroke();
const state = job.state;
const order = [1, 2, 4, 3];
measure('state of a job of 20 events', 'under 8 ms', () => stateOf(job.sheet, job.engine, job.log));
let turn = 0;
measure('a move of the dial: plan, strokes, piston', 'under 1 ms', () => {
  turn = (turn + 1) % 720;
  const from = { ...(state.work.crank ?? NOWHERE), crankDeg: turn };
  crankWords.planTo(crankWords.crankTarget(state, { surface: 'plan' }), state, job.engine, 'front', from);
  return cycleState({ cycleDeg: 720, firingOrder: order, crankDeg: turn });
});
const s = slider({ strokeMm: 92, rodMm: 171 });
if (s.ok) {
  const readings = Array.from({ length: 200 }, (_, k) => {
    const t = -40 + 0.4 * k;
    return { wheelDeg: 357 + t, dialMm: 8 - dropMm(s.out, t) + ((k * 7919) % 13) * 0.001 };
  });
  const gauges = { wheel: { resolution: 0.5, accuracy: 0.25 }, dial: { resolution: 0.01, accuracy: 0.02 } };
  measure(
    'tdc.fit with 200 readings',
    'under 2 ms',
    () => tdcFit({ readings, strokeMm: 92, rodMm: 171, dialSense: 1, ...gauges }),
    5
  );
}

const tray = Array.from({ length: 40 }, (_, k) => ({
  id: `SH-${k}`,
  thicknessMm: 0.03 + 0.013 * k,
  uMm: 0.004,
  count: 1 + (k % 3)
}));
measure(
  'stack.pick, 40 shims up to three at a time',
  'under 16 ms',
  () =>
    stackPick({
      currentMm: 0.05,
      uMm: 0.012,
      spec: { minMm: 0.32, maxMm: 0.42 },
      sense: 1,
      tray,
      maxPieces: 3
    }),
  2
);
let arc = 0;
measure('drive.index, 15 teeth and 12 terminals', 'under 16 ms', () =>
  driveIndex({
    rotorDirection: 'ccw',
    ratio: 0.5,
    gearTeeth: 15,
    observed: { rotorBearingDeg: 137, crankDeg: -7 },
    targetCrankDeg: -7,
    terminals: { count: 12, firstOffsetDeg: 156, anyAsNumberOne: true },
    housing: { minBearingDeg: arc++ % 300, maxBearingDeg: 352, preferredBearingDeg: 10 }
  })
);

const baseline = [
  { rpm: 900, deg: 0 },
  { rpm: 1700, deg: 9 },
  { rpm: 3200, deg: 24 }
];
const from = [
  { rateNPerMm: 1.9, preloadN: 2.6 },
  { rateNPerMm: 3.4, preloadN: 0.4 }
];
const springTray = (n: number, stops: number) => ({
  springs: Array.from({ length: n }, (_, k) => ({
    id: `S-${k}`,
    rateNPerMm: 0.6 + 0.06 * k,
    preloadN: 0.4 + 0.04 * k,
    count: 2
  })),
  stops: Array.from({ length: stops }, (_, k) => ({ id: `stop ${k}`, deg: 12 + k }))
});
const match = (n: number, stops: number) => () =>
  curveMatch({
    baseline,
    from,
    extensionMmPerDeg: 0.11,
    target: Array.from({ length: 40 }, (_, k) => ({ rpm: 600 + 90 * k, deg: Math.min(32, 8 + 0.7 * k), weight: 1 })),
    tray: springTray(n, stops),
    initial: { minBtdc: 6, maxBtdc: 11, stepDeg: 0.5 },
    limits: { totalMaxBtdc: 33, idleRpm: 650, creepMaxDeg: 0.5 },
    top: 5
  });
measure('curve.match, 60 springs, 12 stops, 40 target points', 'a few tens of ms', match(60, 12), 1);
measure('curve.swapSprings, as while dragging', 'under 16 ms', () =>
  curveSwapSprings({ baseline, from, to: [from[0]!, from[0]!], extensionMmPerDeg: 0.11, stopDeg: 24 })
);
const points = Array.from({ length: 200 }, (_, k) => ({
  rpm: 600 + 18 * k,
  deg: Math.min(30, Math.max(9, 9 + 0.012 * (600 + 18 * k - 1300))) + ((k * 7919) % 13) * 0.03
}));
measure('curve.fit of 200 points', 'under 100 ms', () => curveFit({ points, maxRamps: 2 }), 1);

const chart = Array.from({ length: 200 }, (_, k) => ({ btdc: 5 + 0.1 * k, liftMm: 0.5 + 0.012 * k + 0.00004 * k * k }));
let lifted = 0;
measure('pump.chart of 200 points, from a lift', 'under 0.1 ms', () =>
  pumpChart({ chart: { pumpCode: 'K 1', points: chart }, pumpCode: 'K 1', liftMm: 0.6 + 0.01 * (lifted++ % 300) })
);
const rising = [14, 16, 18, 20, 22, 24].map((btdc, k) => ({ btdc, liftMm: 1.62 + 0.4 * k }));
let turned = 0;
measure('a move of the pump drawing: lift and hands of the dial', 'within a frame', () =>
  dialHands(liftAlong(rising, (turned++ % 300) / 10 - 14).mm, 1)
);
