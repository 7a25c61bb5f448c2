/** On a busy machine a part that is fetched may take its time: what is waited for is not given up after a second. */
if (typeof document !== 'undefined') {
  const { configure } = await import('@testing-library/svelte');
  configure({ asyncUtilTimeout: 10_000 });
}
export {};
