import { describe, expect, it } from 'vitest';
import { defaultPrefs, readPrefs } from '$lib/reader/prefs.ts';
import { decimalsOf, lengthText, understood, unitFor } from '$lib/reader/units.ts';
import { formatClock, formatTiming, fixed } from '$core/units/format.ts';
import { slug } from '$lib/server/repositories/ids.ts';

const inch = { ...defaultPrefs, length: 'in' as const };

describe('figures for whoever reads them', () => {
  it('writes lengths in the chosen unit with as many digits as they deserve', () => {
    expect(lengthText(defaultPrefs)(1.8)).toBe('1.80 mm');
    expect(lengthText(inch)(1.8)).toBe('0.0709 in');
    expect(lengthText({ ...defaultPrefs, length: 'thou' })(1.8)).toBe('70.9 thou');
  });

  it('shows a figure in the unit it was typed in, and converted beside it', () => {
    expect(understood({ value: 1.0541, resolution: 0.00254, unit: 'thou' }, 'length', defaultPrefs)).toBe(
      '41.5 thou (1.054 mm)'
    );
    expect(understood({ value: 1.05, resolution: 0.01, unit: 'mm' }, 'length', defaultPrefs)).toBe('1.05 mm');
    expect(understood({ value: -3, resolution: 1, unit: 'deg' }, 'timing', defaultPrefs)).toBe('3° after');
    expect(understood({ value: 170, resolution: 0.5, unit: 'clock' }, 'bearing', defaultPrefs)).toBe('170.0°');
    expect(understood({ value: 2.54, resolution: 0.0254, unit: 'DP' }, 'pitch', defaultPrefs)).toBe('10.0 DP');
    expect(understood({ value: 2.5, resolution: 0.1, unit: 'module' }, 'pitch', inch)).toBe('2.5 module');
  });

  it('means the chosen unit when none is typed', () => {
    expect([unitFor(inch, 'length'), unitFor(inch, 'angle')]).toEqual(['in', 'deg']);
    expect(decimalsOf(0.00254, 'thou')).toBe(1);
    expect(decimalsOf(0.0254, 'thou')).toBe(0);
  });

  it('says before and after instead of signs, and never shows a negative zero', () => {
    expect([formatTiming(8), formatTiming(-3.25, 2), formatTiming(0.01)]).toEqual([
      '8.0° before',
      '3.25° after',
      'TDC'
    ]);
    expect([fixed(-0.001, 2), fixed(-1.5, 1)]).toEqual(['0.00', '\u22121.5']);
    expect([formatClock(170), formatClock(0), formatClock(359.9)]).toEqual(['5:40', '12:00', '12:00']);
  });
});

describe('preferences', () => {
  it.each([undefined, '', 'not json', '[]', '{"theme":"neon","length":7}'])('falls back for %s', (cookie) => {
    expect(readPrefs(cookie, 'UTC')).toEqual(defaultPrefs);
  });
  it('keeps what is good of a cookie', () => {
    expect(readPrefs('{"theme":"dim","length":"neon","view":"rear","zone":"x"}', 'Asia/Tokyo')).toEqual({
      zone: 'Asia/Tokyo',
      theme: 'dim',
      length: 'mm',
      view: 'rear'
    });
  });
});

it('makes short addresses of names', () => {
  expect([slug('Lock 4 pump'), slug('  Überlaufpumpe, Nr. 3 '), slug('!!')]).toEqual([
    'lock-4-pump',
    'uberlaufpumpe-nr-3',
    ''
  ]);
});
