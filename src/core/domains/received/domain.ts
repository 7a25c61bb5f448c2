import type { Domain } from '../../job/domain.ts';
import { list, lower } from '../../job/texts.ts';
import { decisionsOf, type Word } from './decisions.ts';
import type { ReceivedVocabulary } from './vocabulary.ts';
import type { ReceivedState, ReceivedWorks } from './works.ts';

const WORDS: Record<Word, string> = { use: 'stays', remark: 'stays, with a remark', replace: 'replaced' };

/** What came in, measured before anything is taken apart, and what becomes of each part. */
export const domain: Domain<ReceivedWorks, ReceivedVocabulary['school']> = {
  name: 'received',
  needs: [],
  works: { decisions: (c) => decisionsOf(c.engine, c.r) },
  surfaces: {
    decisions: {
      headline: (state: ReceivedState) => {
        const bad = state.work.decisions.filter((d) => d.proposed === 'replace').map((d) => lower(d.name));
        if (bad.length) return `The findings speak for replacing ${list(bad)}`;
        return state.work.decisions.some((d) => d.found) ? 'Nothing found so far asks for a new part' : null;
      },
      open: (state: ReceivedState) => {
        const left = state.work.decisions
          .filter((d) => d.found !== null && d.decided === null)
          .map((d) => lower(d.name));
        return left.length ? `not decided: ${list(left)}` : null;
      }
    }
  },
  schools: {
    rebuild: (engine, _, r) => {
      const shaft = decisionsOf(engine, r).find((d) => d.part === 'shaft')!;
      if (shaft.proposed === 'replace')
        return {
          option: 'specialist',
          because: 'shaft or bush is outside its limits: it takes a machine to true them'
        };
      return shaft.proposed === 'use'
        ? { option: 'own', because: 'shaft and bush are inside their limits' }
        : {
            option: 'own',
            because: 'nothing found so far asks for more; a shaft or bush out of limits goes to a specialist'
          };
    }
  },
  card: (state: ReceivedState) =>
    state.sheet.steps.some((s) => s.surface === 'decisions')
      ? state.work.decisions
          .filter((d) => d.decided !== null)
          .map((d) => ({ label: d.name, value: `${WORDS[d.decided!]}: ${lower(d.found ?? 'nothing found')}` }))
      : []
};
