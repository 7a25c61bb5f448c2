/** What a step does, beyond the states it sets: code asks for these and never for a step by its name. */
export const acts = [
  /** after it nobody knows where the crank stands, unless the turn was read */
  'turns-uncounted',
  /** done, the crank stands at the run sheet's reference, last moved forward */
  'reaches-reference',
  /** done, the timing pin holds the crank at a TDC */
  'pins-crank',
  /** it cannot be worked out without the value of the reference */
  'needs-reference',
  /** something stands in cylinder one from its first reading on */
  'probes-cylinder',
  /** done, the job is closed */
  'closes-log',
  // what rules forbid, and what makes states fall: the deed, whatever the step is called
  'turns-crank',
  'turns-back',
  'cranks-by-power',
  'starts',
  'runs-on',
  'loads',
  'sweeps',
  'reaches-in',
  'opens-up',
  'works-over-bore',
  'lifts-unit',
  'clamps',
  'clamps-final',
  'tightens-pedestal',
  'indexes',
  'reads-initial',
  'fits-cap',
  'pulls-leads',
  'touches-leads',
  'energises',
  'measures-depth',
  'pins-gear',
  'pulls-shaft',
  'levers-flange',
  'lays-crank-in',
  'closes-case',
  'chooses-springs',
  'proves-stroke',
  'opens-advance',
  'zeroes',
  'accepts-lift',
  'converts-lift',
  'fits-gear',
  'torques-taper',
  'torques-final',
  'removes-lock',
  'releases-pump',
  'skin-near-line',
  'sets-idle',
  'bolts-magneto',
  'draws-flange',
  'sets-stop',
  'primes-by-bore'
] as const;
export type Act = (typeof acts)[number];

/** What a run sheet is about: an engine that power can turn, one with its case open, or a part on the bench. */
export type Place = 'engine' | 'open-case' | 'bench';
