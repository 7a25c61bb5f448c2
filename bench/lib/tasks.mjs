/**
 * The tasks of a page's main thread while something is done on it, each in milliseconds by the clock and by the thread's own
 * processor time: a task that is long by the clock alone waited for the machine.
 */
export async function tasksDuring(browser, page, act) {
  await browser.startTracing(page, { categories: ['toplevel'] });
  await act();
  const { traceEvents } = JSON.parse((await browser.stopTracing()).toString());
  const thread = (e) => `${e.pid} ${e.tid}`;
  const main = new Set(
    traceEvents.filter((e) => e.name === 'thread_name' && e.args.name === 'CrRendererMain').map(thread)
  );
  return traceEvents
    .filter((e) => e.ph === 'X' && /RunTask/.test(e.name) && main.has(thread(e)))
    .map((e) => ({ clock: (e.dur ?? 0) / 1000, processor: (e.tdur ?? 0) / 1000 }));
}

/** The longest of them, by each of the two. */
export const longest = (tasks) => ({
  clock: Math.max(0, ...tasks.map((t) => t.clock)),
  processor: Math.max(0, ...tasks.map((t) => t.processor))
});
