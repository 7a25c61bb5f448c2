import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { EventInput } from '$core/job/event-input.ts';
import type { Person } from '$core/job/index.ts';
import { sheetOf } from '$core/sheets/index.ts';
import { getPool } from '$lib/server/db/pool.ts';
import { cardPdf } from '$lib/server/export/card-pdf.ts';
import { readPhoto } from '$lib/server/http.ts';
import { append } from '$lib/server/jobs/append.ts';
import { cardData } from '$lib/server/jobs/card-data.ts';
import { derivedSettled } from '$lib/server/jobs/derive.ts';
import { open } from '$lib/server/jobs/open-job.ts';
import { logOf } from '$lib/server/repositories/events.ts';
import { cleaned } from '$lib/server/photo-cleaned.ts';
import { keepPhoto, mayKeepMore, photoOf } from '$lib/server/repositories/photos.ts';
import { defaultPrefs } from '$lib/reader/prefs.ts';
import { freshDatabase, smallWorkshop } from './support.ts';

/** the smallest whole PNG: one pixel */
const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64'
);
let away: () => Promise<void>;
let by: Person;
let jobId: string;
let engineId: string;
beforeAll(async () => {
  away = await freshDatabase();
  ({ by, jobId, engineId } = await smallWorkshop());
});
afterAll(async () => {
  await derivedSettled();
  await away();
});
const refusal = (p: Promise<unknown>) =>
  p.then(
    () => null,
    (e: { code: string; status: number; message: string }) => e
  );
const line = (photo: string, text = 'the cap, from above'): EventInput => ({
  id: randomUUID(),
  kind: 'photo',
  photo,
  text,
  step: 'intake'
});
const png = { kind: 'image/png', bytes: PNG } as const;

describe('a photograph', () => {
  it('is kept once however often it is sent, and comes back as it was', async () => {
    const id = randomUUID();
    await Promise.all([1, 2, 3].map(() => keepPhoto(jobId, id, png, by.id)));
    expect((await photoOf(jobId, id)).bytes.equals(PNG)).toBe(true);
    const other = await refusal(keepPhoto(jobId, id, { ...png, bytes: Buffer.concat([PNG, PNG]) }, by.id));
    expect(other).toMatchObject({ status: 409, code: 'id-taken' });
  });
  it('is named by a line of its own job, and of no other', async () => {
    const id = randomUUID();
    expect(await refusal(append(jobId, line(id), by))).toMatchObject({ status: 422, code: 'no-such-photo' });
    await keepPhoto(jobId, id, png, by.id);
    const other = await open({ engineId, sheet: sheetOf('fit-from-scratch')!, promisedOn: null, by });
    expect(await refusal(append(other.id, line(id), by))).toMatchObject({ code: 'no-such-photo' });
    expect(await refusal(photoOf(other.id, id))).toMatchObject({ status: 404 });
    await append(jobId, line(id), by);
    const { card } = await cardData(jobId, defaultPrefs);
    expect(card.photos).toMatchObject([{ id, text: 'the cap, from above', by: by.name }]);
  });
  it('is printed on the card, and one that is broken does not keep the card from being printed', async () => {
    const plain = (await cardPdf(await cardData(jobId, defaultPrefs), defaultPrefs)).length;
    const broken = randomUUID();
    await keepPhoto(jobId, broken, { kind: 'image/jpeg', bytes: Buffer.from([0xff, 0xd8, 0xff, 1, 2, 3]) }, by.id);
    await append(jobId, line(broken, ''), by);
    const data = await cardData(jobId, defaultPrefs);
    expect(data.card.photos).toHaveLength(2);
    const pdf = Buffer.from(await cardPdf(data, defaultPrefs));
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    expect(pdf.length).toBeGreaterThan(plain);
  });
  it('can be taken back like any other line, and stays in the store', async () => {
    const id = randomUUID();
    await keepPhoto(jobId, id, png, by.id);
    const e = await append(jobId, line(id, 'a mistake'), by);
    await append(jobId, { id: randomUUID(), kind: 'undo', undoes: e.id }, by);
    const { card } = await cardData(jobId, defaultPrefs);
    expect(card.photos.map((p) => p.text)).not.toContain('a mistake');
    await expect(getPool().query('DELETE FROM photo WHERE id = $1', [id])).rejects.toThrow('append-only');
  });
  it.each([
    ['no photograph by its first bytes', Buffer.from('<svg onload=alert(1)>'), 415],
    ['nothing', Buffer.alloc(0), 415],
    ['too large', Buffer.concat([PNG, Buffer.alloc(2_000_000)]), 413]
  ])('that is %s is refused with a sentence', async (_, body, status) => {
    const sent = new Request('http://bench/', { method: 'PUT', body, headers: { 'content-type': 'image/png' } });
    const r = await refusal(readPhoto(sent));
    expect(r?.status).toBe(status);
    expect(r?.message).toMatch(/\.$/);
  });
});

describe('a photograph as it is sent', () => {
  const photo = (o: { width?: number; height?: number } = {}) =>
    sharp({ create: { width: 64, height: 40, channels: 3, background: '#884422', ...o } });
  const jpeg = (bytes: Buffer) => ({ kind: 'image/jpeg', bytes }) as const;

  it('is drawn anew: where it was taken is gone, and it stands upright', async () => {
    const sent = await photo()
      .withExif({ IFD0: { Copyright: 'somebody' }, IFD3: { GPSLatitude: '51/1 30/1 0/1', GPSLatitudeRef: 'N' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    expect((await sharp(sent).metadata()).orientation).toBe(6);
    const kept = await cleaned(jpeg(sent));
    const now = await sharp(kept.bytes).metadata();
    expect(now).toMatchObject({ format: 'jpeg', width: 40, height: 64 });
    expect([now.exif, now.xmp, now.iptc, now.orientation]).toEqual([undefined, undefined, undefined, undefined]);
  });
  it('loses what stood in the file behind its pixels, and is made no larger than a screen needs', async () => {
    const sent = Buffer.concat([await photo({ width: 3000, height: 1500 }).jpeg().toBuffer(), Buffer.from('<script>')]);
    const kept = await cleaned(jpeg(sent));
    expect(kept.bytes.includes('<script>')).toBe(false);
    expect(await sharp(kept.bytes).metadata()).toMatchObject({ width: 1600, height: 800 });
  });
  it.each([
    ['four bytes and nothing behind them', async () => Buffer.from([0xff, 0xd8, 0xff, 0xe0]), 415],
    [
      'a page behind the first bytes of a JPEG',
      async () => Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), Buffer.from('<html>')]),
      415
    ],
    [
      'cut in the middle',
      async () => (await photo({ width: 900, height: 900 }).jpeg().toBuffer()).subarray(0, 2000),
      415
    ],
    ['of 64 million pixels in few bytes', async () => photo({ width: 8000, height: 8000 }).jpeg().toBuffer(), 413]
  ])('that is %s is refused with a sentence', async (_, make, status) => {
    const r = await refusal(cleaned(jpeg(await make())));
    expect(r?.status).toBe(status);
    expect(r?.message).toMatch(/\.$/);
  });
  it('is one too many for a job that is full, unless it is there already', async () => {
    const { id: full } = await open({ engineId, sheet: sheetOf('teardown')!, promisedOn: null, by });
    const ids = Array.from({ length: 200 }, () => randomUUID());
    for (const id of ids) await keepPhoto(full, id, png, by.id);
    expect(await refusal(mayKeepMore(full, randomUUID(), by.id))).toMatchObject({ code: 'photographs-full' });
    expect(await refusal(mayKeepMore(full, ids[0]!, by.id))).toBeNull();
    expect(await refusal(mayKeepMore(jobId, randomUUID(), by.id))).toBeNull();
  });
});

describe('a job that follows', () => {
  it('is opened with what the one before it measured, in one transaction', async () => {
    const before = await open({ engineId, sheet: sheetOf('teardown')!, promisedOn: null, by });
    const read: EventInput = {
      id: randomUUID(),
      kind: 'reading',
      step: 'float',
      slot: 'float-bench',
      quantity: 'length',
      text: '0.44',
      defaultUnit: 'mm',
      gaugeId: 'dial'
    };
    await append(before.id, read, by);
    const next = await open({ engineId, sheet: sheetOf('regear')!, promisedOn: null, by, after: before.id });
    const log = await logOf(next.id);
    expect(log).toEqual(next.carried);
    expect(log).toMatchObject([
      { kind: 'reading', step: 'fix', text: '0.44', from: { job: before.id, by: by.name, sheet: 'teardown' } }
    ]);
    // and it goes on from there
    const on = await append(next.id, { id: randomUUID(), kind: 'remark', text: 'seen' }, by);
    expect(on.seq).toBe(2);
  });
  it('takes nothing from a job on another engine, and is not opened', async () => {
    const there = await smallWorkshop();
    const r = await refusal(
      open({ engineId, sheet: sheetOf('regear')!, promisedOn: null, by, after: there.jobId, id: randomUUID() })
    );
    expect(r).toMatchObject({ status: 422, code: 'other-engine' });
    const gone = await refusal(
      open({ engineId, sheet: sheetOf('regear')!, promisedOn: null, by, after: randomUUID() })
    );
    expect(gone).toMatchObject({ status: 404 });
  });
});
