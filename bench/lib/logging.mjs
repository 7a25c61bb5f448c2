import { randomUUID } from 'node:crypto';
import { percentile } from './servers.mjs';

/** 20 people, each with a job open and live, logging a reading about once a second: milliseconds from when it was due until acknowledged. */
export async function loggingLatency(url, jobs, person, seconds = 30) {
  const times = [];
  // a server that has just started loads its parts with the first readings
  const warm = performance.now() + 2000;
  const until = performance.now() + seconds * 1000;
  const streams = new AbortController();
  const one = async (n) => {
    const jobId = jobs[n % jobs.length];
    const live = fetch(`${url}/api/jobs/${jobId}/live`, { signal: streams.signal }).then(async (r) => {
      for await (const _ of r.body);
    });
    live.catch(() => {});
    // each reading is due at its time, whether or not the one before was acknowledged: waiting in line counts
    let due = performance.now() + Math.random() * 1000;
    while (due < until) {
      await new Promise((r) => setTimeout(r, Math.max(0, due - performance.now())));
      const body = JSON.stringify({
        id: randomUUID(),
        kind: 'reading',
        step: 'tdc',
        slot: n % 2 ? 'before' : 'after',
        quantity: 'angle',
        text: '342.5',
        defaultUnit: 'deg',
        gaugeId: null
      });
      const r = await fetch(`${url}/api/jobs/${jobId}/events`, {
        method: 'POST',
        body,
        headers: { 'content-type': 'application/json', cookie: `nemrik-person=${person}` }
      });
      const answer = await r.json();
      if (!answer.ok) throw new Error(JSON.stringify(answer));
      if (due > warm) times.push(performance.now() - due);
      due += 700 + Math.random() * 600;
    }
  };
  await Promise.all(Array.from({ length: 20 }, (_, n) => one(n)));
  streams.abort();
  return { n: times.length, p50: percentile(times, 0.5), p99: percentile(times, 0.99), max: Math.max(...times) };
}
