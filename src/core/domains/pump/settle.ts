import type { SettledFigure } from '../../job/settled.ts';
import { settled } from './figures.ts';
import { numberOf } from './vocabulary.ts';
import type { PumpState } from './works.ts';

/** What timing a pump settles: as found, proved, its zero, what tightening did, the ledger, the proofs. */
export function settle(state: PumpState): SettledFigure[] {
  const { lifts, gearSlot, ledger, proofs } = state.work;
  const out: SettledFigure[] = [];
  const limits = {
    min: numberOf(state.engine, 'pumpMinBtdc') ?? null,
    max: numberOf(state.engine, 'pumpMaxBtdc') ?? null
  };
  for (const v of state.steps) {
    const w = lifts[v.step.id];
    if (!w) continue;
    if (w.zero && w.zero.n > 1)
      out.push(settled('pump-zero', { value: w.zero.spreadMm, u: w.zero.u, calc: 'pump.zero', output: w.zero }));
    if (w.timing)
      out.push(
        settled(v.step.role === 'lift-proof' ? 'pump-timing' : 'pump-found', {
          value: w.timing.btdc,
          u: w.timing.uDeg,
          verdict: w.timing.verdict?.state ?? null,
          limits,
          proved: v.state === 'done',
          ...(w.closure
            ? {
                calc: 'pump.closure',
                input: { closureMm: w.closure.closureMm, lifts: w.closure.pairs },
                output: { btdc: w.timing.btdc, slopeMmPerDeg: w.slopeMmPerDeg }
              }
            : {
                calc: 'pump.chart',
                input: { liftMm: w.lift!.mm, standsBtdc: w.stands!.btdc },
                output: w.means
              })
        })
      );
  }
  if (gearSlot?.drag)
    out.push(
      settled('gear-drag', {
        value: gearSlot.drag.deg,
        u: gearSlot.drag.uDeg,
        calc: 'pump.chart',
        output: gearSlot.drag
      })
    );
  // terms of the data sheet alone are a plan, and settle nothing
  if (ledger.total && (ledger.lockFrom === 'read' || ledger.offsetFrom === 'decided'))
    out.push(
      settled('pump-total', {
        value: ledger.total.btdc,
        u: ledger.total.uDeg,
        verdict: ledger.total.verdict?.state ?? null,
        limits,
        calc: 'pump.total',
        input: { lockBtdc: ledger.lockBtdc, offsetBtdc: ledger.offsetBtdc },
        output: ledger.total
      })
    );
  for (const p of Object.values(proofs))
    if (p.entered && p.offDeg !== null)
      out.push(
        settled(p.what === 'pin' ? 'proof-pin' : 'proof-lock', {
          value: p.what === 'pin' ? p.offDeg : p.entered.btdc,
          u: p.entered.uDeg,
          verdict: p.verdict?.state ?? null,
          limits: `\u00b1 ${p.within}° of its own place`,
          calc: 'crank.plan',
          output: p
        })
      );
  return latest(out);
}

/** Of a figure that was taken more than once the last stands. */
const latest = (all: SettledFigure[]): SettledFigure[] =>
  all.filter((f, k) => all.findLastIndex((x) => x.key === f.key) === k);
