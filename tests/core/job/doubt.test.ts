import { describe, expect, it } from 'vitest';
import { doubt } from '$core/job/doubt.ts';
import { readFor } from '$core/job/next-slot.ts';
import { lengthLimits, lengthPm, percent, plusMinus, turnWord } from '$core/job/words.ts';
import { defaultPrefs } from '$lib/reader/prefs.ts';
import { lengthText } from '$lib/reader/units.ts';
import { CURVE, sweep } from '../../support/curve-jobs.ts';
import { pedestal } from '../../support/drive-jobs.ts';
import { engineWith, mm, PlayedJob, SHEET } from '../../support/played.ts';

const thou = lengthText({ ...defaultPrefs, length: 'thou' });

/** What is asked about a figure before it is kept; null when nothing is out of line. */
function asked(job: PlayedJob, stepId: string, text: string, len = mm): string | null {
  const { step } = job.view(stepId);
  const read = readFor(
    job.state,
    step,
    text,
    ({ quantity }) => ({ unit: quantity === 'length' ? 'mm' : 'deg' }) as never
  );
  if (!read.ok) throw new Error(read.error.message);
  return doubt({
    state: job.state,
    engine: job.engine,
    step: step,
    aim: read.out.aim,
    figure: read.out.figure,
    text,
    len
  });
}

describe('a depth of the piston', () => {
  const job = () => new PlayedJob(engineWith(SHEET), 'verify-marks');
  it.each([
    ['1.8', null],
    ['0', 'depth is counted downwards'],
    ['40', '40.0 mm is more than a third of the stroke'],
    ['180', 'The stroke is 92.0 mm: the piston does not go 180.0 mm down.']
  ])('of %s', (text, want) => {
    const said = asked(job(), 'tdc', text);
    if (want === null) expect(said).toBeNull();
    else expect(said).toContain(want);
  });
  it('is asked about in the unit of whoever reads', () => {
    expect(asked(job(), 'tdc', '180', thou)).toBe('The stroke is 3622 thou: the piston does not go 7087 thou down.');
  });
  it('is not asked about where the stroke is not known', () => {
    const { strokeMm: _, ...less } = SHEET;
    expect(asked(new PlayedJob(engineWith(less), 'verify-marks'), 'tdc', '180')).toBeNull();
  });
});

describe('a wheel beside its pairs', () => {
  const job = () => new PlayedJob(engineWith(SHEET), 'verify-marks').pairs('1.8', ['342.5', '11.5'], ['343.5', '12.0']);
  it('agrees across the zero of the wheel, and is asked about five degrees off', () => {
    expect(asked(job(), 'tdc', '343')).toBeNull();
    expect(asked(job(), 'tdc', '300')).toBe('That is 42.5° from the other readings of this side.');
  });
  it('shows no more than one round', () => {
    expect(asked(job(), 'tdc', '361')).toBe('A wheel shows no more than 360°.');
  });
});

describe('blades', () => {
  it('wider than the washer are asked about by how much, in thou where thou are read', () => {
    expect(asked(pedestal(), 'gap', '0.81 + 0.70')).toMatch(/by 0\.0\d\d mm: the float would be below zero/);
    expect(asked(pedestal(), 'gap', '0.81 + 0.70', thou)).toMatch(/by \d\.\d\d thou: the float/);
  });
  it('more than one person can feel are asked about before all else', () => {
    expect(asked(pedestal(), 'gap', '0.3 + 0.3 + 0.3 + 0.3 + 0.9')).toContain('5 blades in one place');
  });
});

describe('a timing on the strobe', () => {
  const swept = (values = CURVE) => {
    const job = new PlayedJob(engineWith(values), 'recurve');
    sweep(job, 'baseline', [[650, 9]]);
    job.read('baseline', 'sweep-rpm', '1200');
    return job;
  };
  it.each([
    ['12b', null],
    ['30b', 'That is 21° from the last point.'],
    ['75b', '75.0° is far from any timing.']
  ])('of %s', (text, want) => {
    expect(asked(swept(), 'baseline', text)).toBe(want);
  });
  it('beyond the marks is asked about, unless it is read with a delay', () => {
    const job = swept({ ...CURVE, tapeReachDeg: '10' });
    expect(asked(job, 'baseline', '12b')).toContain('The marks on the rim reach to 10°');
    job.say({ kind: 'choose', school: 'mark-scale', option: 'delay' });
    expect(asked(job, 'baseline', '12b')).toBeNull();
  });
});

describe('a dwell', () => {
  const asks = (text: string) => asked(new PlayedJob(engineWith(SHEET), 'static-timing'), 'gap', text);
  it.each([
    ['54', null],
    ['95', 'From lobe to lobe there are 90°'],
    ['5', 'leaves no time to charge the coil']
  ])('of %s, four cylinders', (text, want) => {
    const job = new PlayedJob(engineWith(SHEET), 'static-timing');
    // the gap stands first on this step
    job.read('gap', 'contact-gap', '0.4');
    const said = asked(job, 'gap', text);
    if (want === null) expect(said).toBeNull();
    else expect(said).toContain(want);
    expect(asks('0.4')).toBeNull();
  });
});

describe('figures in words', () => {
  it('limits have their unit once, and say when there are none', () => {
    expect(lengthLimits(mm, 0.12, 0.22)).toBe('0.12 to 0.22 mm');
    expect(lengthLimits(thou, 0.1, 0.2)).toBe('3.9 to 7.9 thou');
    expect(lengthLimits(mm, 0.5, null)).toBe('0.50 mm or more');
    expect(lengthLimits(mm, null, 0.5)).toBe('0.50 mm or less');
    expect(lengthLimits(mm, null, null)).toBe('no limit on the data sheet');
  });
  it('a doubt is two standard uncertainties, beside its figure, the unit once', () => {
    expect(lengthPm(mm, 0.165, 0.0125)).toBe('0.165 ± 0.025 mm');
    expect(lengthPm(thou, 0.165, 0.0125, 3)).toBe('6.50 ± 0.98 thou');
    expect(plusMinus(0.25, 1)).toBe('± 0.5');
  });
  it('a chance is never a hundred per cent, and never none', () => {
    expect([percent(1), percent(0.774), percent(0)]).toEqual(['over 99.9 %', '77.4 %', 'under 0.1 %']);
    expect([turnWord('cw'), turnWord('ccw')]).toEqual(['clockwise', 'anticlockwise']);
  });
});
