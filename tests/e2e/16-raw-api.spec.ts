import { randomUUID } from 'node:crypto';
import { expect, test, type APIRequestContext } from '@playwright/test';
import { A, be, depth, done, say, toTdc, wheel, workshop } from './support/workshop.ts';

/** What a screen would not let anybody say is refused to whoever speaks to the server without one, singly and in a batch. */
type Body = Record<string, unknown>;
const post = (request: APIRequestContext, jobId: string, data: Body) =>
  request.post(`${A}/api/jobs/${jobId}/events`, { data });

async function refused(request: APIRequestContext, jobId: string, draft: Body, says: RegExp) {
  const log = async () =>
    ((await (await request.get(`${A}/api/jobs/${jobId}/events`)).json()) as { out: unknown[] }).out.length;
  const before = await log();
  const remark = { id: randomUUID(), kind: 'remark', text: 'written with it' };
  for (const data of [{ id: randomUUID(), ...draft }, { events: [remark, { id: randomUUID(), ...draft }] }]) {
    const r = await post(request, jobId, data);
    expect([JSON.stringify(draft), r.status()]).toEqual([JSON.stringify(draft), 422]);
    expect(((await r.json()) as { error: { message: string } }).error.message).toMatch(says);
  }
  // nothing of the batch was kept either
  expect(await log()).toBe(before);
}

test.beforeEach(async ({ context }) => be(context, 'ida', A));

test('a job that was never worked is not closed, and steps that secure are not passed over', async ({ context }) => {
  const { jobId } = await workshop(['ida']);
  await refused(context.request, jobId, { kind: 'done', step: 'close' }, /not done|first/i);
  await refused(context.request, jobId, { kind: 'skip', step: 'safe', reason: 'no time for it today' }, /./);
  await refused(context.request, jobId, { kind: 'remark', step: 'nothing', text: 'x' }, /./);
  await refused(context.request, jobId, { kind: 'say', flag: 'constructor', on: true, seen: 'looked at it' }, /./);
});

test('a reading where it cannot be is refused, and so is one amended from another job', async ({ context }) => {
  const [one, other] = [await workshop(['ida']), await workshop(['ida'])];
  for (const { jobId } of [one, other]) await say(context.request, A, jobId, ...toTdc, depth('1.8'));
  await refused(context.request, one.jobId, { ...wheel('before', '342.5'), step: 'nothing' }, /./);
  await refused(context.request, one.jobId, { ...wheel('before', '342.5'), slot: 'nothing' }, /./);
  await refused(context.request, one.jobId, { ...wheel('before', '342.5'), text: 'about the middle' }, /./);
  await say(context.request, A, other.jobId, wheel('before', '342.5'));
  const log = (
    (await (await context.request.get(`${A}/api/jobs/${other.jobId}/events`)).json()) as {
      out: { id: string; kind: string; slot?: string }[];
    }
  ).out;
  const theirs = log.find((e) => e.slot === 'before')!.id;
  const amend = { quantity: 'angle', text: '343', defaultUnit: 'deg', gaugeId: 'wheel', reason: 'read again' };
  await refused(context.request, one.jobId, { kind: 'amend', replaces: theirs, basis: theirs, ...amend }, /./);
});

test('what made somebody safe is not undone into being safe, and a live starter is not undone', async ({ context }) => {
  const { jobId } = await workshop(['ida']);
  await say(context.request, A, jobId, ...done('intake', 'safe'));
  await say(context.request, A, jobId, { kind: 'say', flag: 'battery-isolated', on: false });
  const log = (
    (await (await context.request.get(`${A}/api/jobs/${jobId}/events`)).json()) as {
      out: { id: string; kind: string }[];
    }
  ).out;
  const live = log.findLast((e) => e.kind === 'say')!.id;
  await refused(context.request, jobId, { kind: 'undo', undoes: live }, /safe|say|isolat/i);
});

test('a reading that the state of the job refuses on screen is refused here', async ({ context }) => {
  const { jobId } = await workshop(['ida'], [], {
    sheet: 'bleeding',
    values: { idleMinRpm: '600', idleMaxRpm: '700' },
    gauges: [['tacho', 'tacho', 10, 5]]
  });
  // the timing is proved no more: the idle screw is left alone
  await say(context.request, A, jobId, { kind: 'say', flag: 'pump-timing-verified', on: false });
  const idle = { kind: 'reading', step: 'idle', slot: 'idle-diesel', quantity: 'speed', text: '650' };
  await refused(context.request, jobId, { ...idle, defaultUnit: 'rpm', gaugeId: 'tacho' }, /Never set the idle/);
});
