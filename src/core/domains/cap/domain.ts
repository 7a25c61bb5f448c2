import type { Domain } from '../../job/domain.ts';
import { lower } from '../../job/texts.ts';
import { domain as timing } from '../timing/domain.ts';
import { domain as tooth } from '../tooth/domain.ts';
import type { ToothWorks } from '../tooth/works.ts';
import { tipFinding, tipWork, wiresFinding, wiresWork } from './cap-work.ts';
import { leadMap, leadMapFinding } from './lead-map.ts';
import { asks, type CapVocabulary } from './vocabulary.ts';
import type { CapWorks } from './works.ts';

/** Leads of the cap, drawn from where number one's tower is, and the rotor's tip under its terminal. */
export const domain: Domain<CapWorks & ToothWorks, CapVocabulary['school']> = {
  name: 'cap',
  needs: [tooth, timing],
  works: {
    wires: (c) => wiresWork(c.engine, c.r),
    leadMap: (c) => leadMap(c.engine, c.r),
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
    'lead-map': {
      headline: (state, v) => {
        const m = state.work.leadMap;
        if (!asks(v, 'lead-map')) return null;
        if (m.problem) return m.problem;
        const left = m.count !== null && m.leads.length && !m.fromOne;
        return left ? `${m.leads.length} of ${m.count} leads mapped: go on clockwise` : leadMapFinding(m);
      },
      // the photographs may do without a map; one that was begun is finished
      open: (state, v) => {
        const m = state.work.leadMap;
        if (!asks(v, 'lead-map') || !m.leads.length) return null;
        return m.problem ?? (m.fromOne ? null : `${m.leads.length} of ${m.count ?? 'the'} leads are mapped`);
      }
    },
    tip: {
      headline: (state) => tipFinding(state.work.tip),
      open: (state) => {
        const { tip } = state.work;
        return tip.out && tip.out.state !== 'good' ? lower(tipFinding(tip)!) : null;
      }
    }
  },
  card: (state) => {
    const m = state.work.leadMap;
    const found = leadMapFinding(m);
    return found
      ? [{ label: 'Leads as found, clockwise from number one', value: `${m.fromOne!.join('-')}. ${found}` }]
      : [];
  },
  schools: {
    'lead-transfer': () => ({ option: 'one-by-one', because: 'no order can be lost' }),
    'rotor-sense': () => ({
      option: 'leads',
      because: 'it takes nothing apart; an engine that never ran wants the crank turned'
    })
  }
};
