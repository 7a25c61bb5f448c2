import type { DemoJob, Line } from './write-job.ts';

const done = (...steps: string[]): Line[] => steps.map((s) => ({ done: s }));
const pairs = (depth: string, ...rows: [string, string][]): Line[] => [
  { read: depth, step: 'tdc', slot: 'depth' },
  ...rows.flatMap(([b, a]): Line[] => [
    { read: b, step: 'tdc', slot: 'before' },
    { read: a, step: 'tdc', slot: 'after' }
  ])
];

/** A whole fit, from the first step to the closed log, with the readings that differ from job to job. */
function wholeFit(o: {
  depth: string;
  pairs: [string, string][];
  tower: string;
  rotor: string;
  strobe: string[];
  vacuum: boolean;
  torque: string;
}): Line[] {
  return [
    ...done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel'),
    ...pairs(o.depth, ...o.pairs),
    ...done('tdc', 'mark', 'probe-out'),
    { sign: 'intakeJustClosed', seen: true },
    { sign: 'bothValvesClosed', seen: true },
    ...done('stroke', 'ref'),
    { read: o.tower, step: 'tower', slot: 'tower' },
    ...done('tower', 'clamp-ready', 'seal', 'pump-shaft', 'slot'),
    { read: o.rotor, step: 'in', slot: 'rotor' },
    ...done('in'),
    { fact: 'stoppedHigh', is: false },
    ...done('seat'),
    { read: o.rotor, step: 'tooth', slot: 'rotor' },
    ...done('tooth', 'index', 'room', 'snug'),
    { fact: 'pinned', is: false },
    ...done('cap', 'leads', 'two-turns', 'prime'),
    ...(o.vacuum ? done('hose') : []),
    ...done('strobe-on', 'sweep', 'start'),
    ...o.strobe.map((s): Line => ({ read: s, step: 'strobe', slot: 'strobe' })),
    ...done('strobe'),
    { read: o.torque, step: 'clamp-final', slot: 'torque' },
    ...done('clamp-final', 'close')
  ];
}

/** Jobs of the demo workshop. The Lock 4 pump's damper ring creeps from job to job; the last one has found it again. */
export const jobs: DemoJob[] = [
  {
    key: 'lock-4-2024',
    engine: 'Lock 4 pump',
    sheet: 'fit-from-scratch',
    by: 'Tobias Renn',
    opened: '2024-04-08T08:10:00Z',
    lines: wholeFit({
      depth: '1.80',
      pairs: [
        ['344.5', '14.5'],
        ['345.0', '14.5'],
        ['344.5', '14.0']
      ],
      tower: '5:40',
      rotor: '5:30',
      strobe: ['7.5b'],
      vacuum: false,
      torque: '18'
    })
  },
  {
    key: 'lock-4-2025',
    engine: 'Lock 4 pump',
    sheet: 'fit-from-scratch',
    by: 'Ines Farrow',
    opened: '2025-05-19T07:40:00Z',
    lines: wholeFit({
      depth: '1.80',
      pairs: [
        ['343.5', '13.0'],
        ['344.0', '13.5'],
        ['343.5', '13.0']
      ],
      tower: '5:40',
      rotor: '5:40',
      strobe: ['11.5b', '8.5b'],
      vacuum: false,
      torque: '18'
    })
  },
  {
    key: 'winch-2025',
    engine: 'Ropeway winch',
    sheet: 'fit-from-scratch',
    by: 'Marit Oakes',
    opened: '2025-09-02T08:00:00Z',
    lines: wholeFit({
      depth: '71 thou',
      pairs: [
        ['345.5', '15.5'],
        ['345.0', '15.0'],
        ['345.0', '15.5']
      ],
      tower: '2:10',
      rotor: '2:15',
      strobe: ['12b', '8b'],
      vacuum: true,
      torque: '15 lbft'
    })
  },
  {
    key: 'lock-4-2026',
    engine: 'Lock 4 pump',
    sheet: 'fit-from-scratch',
    by: 'Ines Farrow',
    opened: '2026-11-24T08:05:00Z',
    promised: '2026-11-27',
    lines: [
      ...done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel'),
      ...pairs('1.80', ['342.5', '11.5'], ['343.5', '12.0']),
      { by: 'Jory Pell' },
      { read: '343.0', step: 'tdc', slot: 'before' }
    ]
  },
  {
    key: 'winch-2026',
    engine: 'Ropeway winch',
    sheet: 'fit-from-scratch',
    by: 'Tobias Renn',
    opened: '2026-11-23T09:00:00Z',
    promised: '2026-11-30',
    lines: [
      ...done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel'),
      ...pairs('71 thou', ['345.0', '15.5'], ['346.0', '15.5'], ['345.5', '15.0']),
      { amend: '345.5', from: '346.0', why: 'misread' },
      ...done('tdc', 'mark', 'probe-out'),
      { sign: 'airPushedOut', seen: true },
      { sign: 'companionRocking', seen: true },
      ...done('stroke', 'ref'),
      { read: '2:10', step: 'tower', slot: 'tower' },
      { remark: 'Lead of cylinder 4 is short: reaches only with the tower at ten past two', step: 'tower' },
      ...done('tower', 'clamp-ready', 'seal', 'pump-shaft', 'slot'),
      { read: '2:20', step: 'in', slot: 'rotor' },
      ...done('in'),
      { fact: 'stoppedHigh', is: true }
    ]
  }
];
