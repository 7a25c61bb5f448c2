import { describe, expect, it } from 'vitest';
import { countText, dayOf, floorHeadline, type FloorJob } from '$lib/ui/floor/floor.ts';

const said = (total: number, ready: number, pending: number, find = '') =>
  floorHeadline({ total, ready, pending, find });

describe('what the floor comes to', () => {
  it('says what can go on', () => {
    expect(said(5, 1, 0)).toBe('One job can go on now');
    expect(said(30, 12, 0)).toBe('12 jobs can go on now');
    expect(said(5, 0, 0)).toBe('Nothing can go on by itself');
  });
  it('says of what is not worked out yet that it is being worked out, and nothing else of it', () => {
    expect(said(10032, 0, 10032)).toBe('10,032 jobs are being worked out');
    expect(said(9, 2, 1)).toBe('Two jobs can go on now; one job is being worked out');
    expect(said(1, 0, 1)).toBe('One job is being worked out');
  });
  it('tells a floor without jobs from one without a match', () => {
    expect(said(0, 0, 0)).toBe('Nothing is on the floor');
    expect(said(0, 0, 0, 'winch')).toBe('No job matches “winch”');
  });
  it('groups a long count by thousands', () => expect(countText(10032)).toBe('10,032'));
});

describe('the day', () => {
  const job = (of: Partial<FloorJob>): FloorJob => ({
    id: 'a',
    engine: 'Lock 4 pump',
    summary: '',
    sheet: '',
    next: '',
    waits: 'ready',
    waitsText: '',
    behind: false,
    promisedOn: null,
    done: 0,
    total: 9,
    lastBy: null,
    lastAt: null,
    ...of
  });
  it('is open while a row is not worked out, so that nobody is said to need no helper', () => {
    expect(dayOf([job({}), job({ behind: true })]).open).toBe(true);
    expect(dayOf([job({}), job({ waits: 'helper' })])).toMatchObject({ open: false, helped: [{ waits: 'helper' }] });
  });
});
