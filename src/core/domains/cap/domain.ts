import { tipFinding, tipWork, wiresFinding, wiresWork } from './cap-work.ts';
import type { Domain } from '../../job/domain.ts';
import { lower } from '../../job/said.ts';

/** Leads of the cap, and the rotor's tip under its terminal. */
export const capDomain: Domain = {
  name: 'cap',
  works: {
    wires: (c) => wiresWork(c.engine, c.r),
    tip: (c) => tipWork(c.engine, c.r)
  },
  surfaces: {
    wires: {
      headline: (state) => {
        const { map, problem, wires, count } = state.work.wires;
        if (problem) return problem;
        if (map) return wiresFinding(map);
        return wires.length && count ? `${wires.length} of ${count} leads traced: go on clockwise` : null;
      },
      open: (state) => {
        const { wires } = state.work;
        if (wires.problem) return wires.problem;
        if (!wires.map) return `${wires.wires.length} of ${wires.count ?? 'the'} leads are traced`;
        return wires.map.cause === 'right' ? null : lower(wiresFinding(wires.map));
      }
    },
    tip: {
      headline: (state) => tipFinding(state.work.tip),
      open: (state) => {
        const { tip } = state.work;
        return tip.out && tip.out.state !== 'good' ? lower(tipFinding(tip)!) : null;
      }
    }
  }
};
