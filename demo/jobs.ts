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

/** A job on the mark, as far as the degree wheel. */
const upToTdc: Line[] = done('intake', 'safe', 'plugs', 'bar', 'look', 'wheel');

const stopPairs = (...rows: [string, string][]): Line[] =>
  rows.flatMap(([b, a]): Line[] => [
    { read: b, step: 'tdc', slot: 'before' },
    { read: a, step: 'tdc', slot: 'after' }
  ]);

const fitted = (...rows: [string, string][]): Line[] =>
  rows.flatMap(([w, d]): Line[] => [
    { read: w, step: 'tdc', slot: 'fit-wheel' },
    { read: d, step: 'tdc', slot: 'fit-dial' }
  ]);

/** A whole job on the mark. */
const verified = (method: string, readings: Line[]): Line[] => [
  ...upToTdc,
  { choose: 'tdc', option: method },
  ...readings,
  ...done('tdc', 'probe-out', 'mark', 'scale', 'pointer', 'off', 'close')
];

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
      ...done('stroke'),
      { read: '318.5', step: 'ref', slot: 'stands' }
    ]
  },
  {
    key: 'generator-2025',
    engine: 'Generator shed',
    sheet: 'verify-marks',
    by: 'Tobias Renn',
    opened: '2025-03-11T08:30:00Z',
    lines: verified('stop', stopPairs(['338.5', '21.5'], ['338.0', '21.5'], ['338.5', '22.0']))
  },
  {
    key: 'otter-2025',
    engine: 'Dredger Otter',
    sheet: 'verify-marks',
    by: 'Marit Oakes',
    opened: '2025-10-06T08:30:00Z',
    lines: verified(
      'fit',
      fitted(
        ['322', '7.46'],
        ['332', '14.55'],
        ['342', '19.85'],
        ['352', '23.03'],
        ['11', '22.89'],
        ['21', '19.58'],
        ['31', '14.19'],
        ['41', '6.96']
      )
    )
  },
  {
    key: 'generator-2026',
    engine: 'Generator shed',
    sheet: 'verify-marks',
    by: 'Tobias Renn',
    opened: '2026-11-24T09:30:00Z',
    promised: '2026-12-03',
    lines: [...upToTdc, { choose: 'tdc', option: 'stop' }, ...stopPairs(['338.0', '21.5'], ['338.5', '22.0'])]
  },
  {
    key: 'otter-2026',
    engine: 'Dredger Otter',
    sheet: 'verify-marks',
    by: 'Ines Farrow',
    opened: '2026-11-24T13:20:00Z',
    promised: '2026-12-01',
    lines: [
      ...upToTdc,
      { choose: 'tdc', option: 'fit' },
      // one turn of the pointer was missed at 31 degrees
      ...fitted(
        ['322', '7.44'],
        ['332', '14.56'],
        ['342', '19.83'],
        ['352', '23.04'],
        ['11', '22.90'],
        ['21', '19.57'],
        ['31', '13.18'],
        ['41', '6.98']
      )
    ]
  },
  {
    key: 'saw-2026',
    engine: 'Stone saw',
    sheet: 'verify-marks',
    by: 'Jory Pell',
    opened: '2026-11-24T14:40:00Z',
    promised: '2026-12-04',
    lines: [
      ...upToTdc,
      { choose: 'tdc', option: 'highest' },
      { read: '9.84', step: 'tdc', slot: 'top-dial' },
      { read: '2.5', step: 'tdc', slot: 'top' },
      { read: '1.0', step: 'tdc', slot: 'top' }
    ]
  },
  {
    key: 'fire-pump-2026',
    engine: 'Fire pump',
    sheet: 'verify-marks',
    by: 'Ines Farrow',
    opened: '2026-11-20T08:15:00Z',
    promised: '2026-11-26',
    lines: [
      ...upToTdc,
      ...pairs('1.40', ['345.0', '16.0'], ['345.5', '16.0'], ['345.0', '15.5']),
      ...done('tdc', 'probe-out', 'mark')
    ]
  }
];
