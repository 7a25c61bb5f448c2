import type { JobState, Open } from '../../job/domain.ts';
import type { Replayed } from '../../job/replayed.ts';
import type { StepChoice } from '../../job/run-sheet.ts';
import { lower } from '../../job/texts.ts';
import { lastOf } from './vocabulary.ts';

/** What can go wrong with a shaft drawn in place, how likely by what was answered, and what it then costs. */
export interface RiskWork {
  rows: { what: string; p: number | null; because: string }[];
  /** what no saving of hours outweighs; null where nothing of it was answered */
  mustSplit: string | null;
  /** that at least one of them happens and the case is opened after all; null until all are answered */
  pSplit: number | null;
  hoursInPlace: number | null;
  hoursSplit: number | null;
  /** hours to expect in place: the work, and the split as often as it comes to that */
  expected: number | null;
}

interface Odds {
  id: string;
  question: string;
  what: string;
  /** chance of it by what is answered, and the answer in words */
  odds: Readonly<Record<string, readonly [p: number, label: string]>>;
}
/** Chances of each failure: this workshop\u2019s own assumption, said so on screen. */
const ODDS: readonly Odds[] = [
  {
    id: 'risk-rings',
    question: 'Its thrust rings are',
    what: 'A ring jams at the gear',
    odds: { known: [0.05, 'counted on the parts list'], unsure: [0.35, 'not known for sure'] }
  },
  {
    id: 'risk-flange',
    question: 'The pump flange is',
    what: 'The pump flange crumbles',
    odds: { sound: [0.02, 'sound, or a new one lies here'], aged: [0.25, 'aged by heat'] }
  },
  {
    id: 'risk-tools',
    question: 'Tools for it are',
    what: 'Spring or ring is dropped into the case',
    odds: { proper: [0.05, 'proved: puller, magnet, lamp'], made: [0.25, 'made for the occasion'] }
  },
  {
    id: 'risk-hands',
    question: 'It was done',
    what: 'The gear is chipped on its way',
    odds: { practised: [0.03, 'before, by one of you'], first: [0.15, 'by neither of you'] }
  }
];

/** The questions that it is weighed by. */
export const riskAsked: StepChoice[] = ODDS.map(({ id, question, odds }) => ({
  id,
  question,
  options: Object.entries(odds).map(([option, [, label]]) => ({ id: option, label }))
}));

/** Answers after which a shaft is never drawn in place, however many hours it would save. */
const NEVER: readonly (readonly [question: string, option: string, because: string])[] = [
  ['risk-rings', 'unsure', 'never draw the shaft over rings that nobody can account for, one that jams ruins the gear'],
  [
    'risk-flange',
    'aged',
    'never lever an aged flange, it crumbles into the case; with a new one on the bench answer again'
  ],
  ['risk-tools', 'made', 'never draw the shaft with a puller that was not proved, what drops stays in the case']
];

export function riskWork(r: Replayed): RiskWork {
  const rows = ODDS.map(({ id, question, what, odds }) => {
    const said = odds[r.chosen.get(id) ?? ''];
    return { what, p: said?.[0] ?? null, because: said ? `${lower(question)} ${said[1]}` : 'not answered yet' };
  });
  const pSplit = rows.every((x) => x.p !== null) ? 1 - rows.reduce((t, x) => t * (1 - x.p!), 1) : null;
  const hoursInPlace = lastOf(r.readings, 'hours-place')?.value ?? null;
  const hoursSplit = lastOf(r.readings, 'hours-split')?.value ?? null;
  return {
    rows,
    mustSplit: NEVER.find(([question, option]) => r.chosen.get(question) === option)?.[2] ?? null,
    pSplit,
    hoursInPlace,
    hoursSplit,
    expected:
      pSplit === null || hoursInPlace === null || hoursSplit === null ? null : hoursInPlace + pSplit * hoursSplit
  };
}

export function riskFinding(w: RiskWork): string | null {
  if (w.mustSplit) return `Open the case: ${w.mustSplit}`;
  if (w.pSplit === null) return null;
  const odds = `It comes to a split in ${Math.round(w.pSplit * 100)} of 100 by what was answered`;
  if (w.expected === null) return `${odds}: type the hours of both ways to weigh them`;
  const less = w.expected < w.hoursSplit! ? 'less' : 'not less';
  return `${odds}: ${w.expected.toFixed(1)} hours to expect in place, ${less} than the ${w.hoursSplit} of opening the case at once`;
}

/** Drawing it in place wants a plain yes; where an answer speaks against it, no reason goes on. */
export function riskOpen(state: Pick<JobState, 'work' | 'replayed'>): Open | null {
  const { mustSplit } = state.work.risk as RiskWork;
  if (mustSplit) return { what: `${mustSplit}: close this job and open the case`, short: 'out', never: true };
  const said = state.replayed.chosen.get('shaft-in-place');
  if (said === 'in-place') return null;
  const what =
    said === 'live'
      ? 'it was chosen to live with it: nothing is drawn, close this job with a remark'
      : said === 'split'
        ? 'it was chosen to open the case: nothing is drawn in place, close this job with a remark'
        : 'nobody has said yes to drawing the shaft in place';
  return { what, short: 'nothing' };
}
