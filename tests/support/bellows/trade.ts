import { length } from '$core/engine/fields.ts';
import type { Domain } from '$core/job/domain.ts';
import type { Manifest } from '$core/job/manifest.ts';
import type { FlagWords, SheetPlan } from '$core/job/run-sheet.ts';
import { completeStep } from '$core/job/run-sheet.ts';
import type { FigureWords } from '$core/job/settled.ts';
import { authored, slotsOf, type Both, type WordsOf } from '$core/job/vocabulary.ts';
import { domain as engine } from '$core/domains/engine/domain.ts';
import { closeLog, makeSafe } from '$core/domains/engine/steps.ts';
import type { EngineVocabulary } from '$core/domains/engine/vocabulary.ts';

/**
 * A trade that does not exist, whole in this folder: values of the data sheet, a state, a slot that is judged by itself,
 * a rule, a run sheet. Nothing of the project knows of it; what it can do, any new trade can do from its own folder.
 */
const fields = [
  length('Bellows', 'bellowsMinMm', 'Bellows travel, least', '6 mm'),
  length('Bellows', 'bellowsMaxMm', 'Bellows travel, most', '7 mm')
];
const flags = {
  'bellows-loose': { on: 'bellows loose', off: 'bellows held', danger: true, hard: true }
} as const satisfies Record<string, FlagWords>;
const figures = {
  'bellows-travel': { label: 'Bellows travel', kind: 'length', trend: 'Bellows travel', earlier: true }
} as const satisfies Record<string, FigureWords>;
const slots = slotsOf({
  'bellows-travel': {
    label: 'bellows travel, end to end',
    quantity: 'length',
    gauge: 'dial',
    required: true,
    repeats: true,
    combine: 'mean',
    limits: { least: 'bellowsMinMm', most: 'bellowsMaxMm' },
    figure: 'bellows-travel'
  }
});
type Own = WordsOf<{ fields: typeof fields; flags: typeof flags; figures: typeof figures; slots: typeof slots }>;
const { step } = authored<Both<Own, EngineVocabulary>>();

export const bellows: Domain = { name: 'bellows', needs: [engine], works: {}, surfaces: {} };
export const bellowsManifest: Manifest = {
  name: 'bellows',
  fields,
  flags,
  figures,
  slots,
  hazards: {},
  schools: {},
  surfaces: [],
  rules: [
    {
      id: 'BL.1',
      on: ['bellows-loose'],
      off: [],
      bar: 'Bellows loose: no pressure',
      never: 'Open the air.',
      because: 'A bellows that nothing holds bursts off its seat.',
      ifItHappened: 'Shut the air, look at the seat, measure again.',
      harm: 'person',
      forbids: ['starts'],
      loses: []
    }
  ]
};
export const bellowsSheet: SheetPlan = {
  id: 'bellows',
  title: 'Measure a bellows',
  short: 'bellows travel',
  begins: [],
  steps: [
    makeSafe({ id: 'safe', phase: 'Measure' }),
    step(
      {
        title: 'Travel measured',
        say: 'Push the bellows from end to end and read the dial.',
        why: 'A bellows that has lost travel moves the timing too little.',
        accept: 'Inside its limits.',
        ifSkipped: 'It is fitted again as it is.',
        needs: ['battery-isolated'],
        sets: ['bellows-loose'],
        slots: [slots['bellows-travel']],
        surface: 'judged'
      },
      { id: 'travel', phase: 'Measure' }
    ),
    completeStep({
      id: 'held',
      phase: 'Close',
      title: 'Bellows held',
      say: 'Fit its strap.',
      why: 'It must not leave its seat.',
      ifSkipped: 'It bursts off.',
      clears: ['bellows-loose']
    }),
    closeLog({ id: 'close', phase: 'Close' })
  ]
};
