import type { SubmitFunction } from '@sveltejs/kit';

/** Sends a form without emptying it: the page makes it anew from the answer, empty after success, as typed after a refusal. */
export const keep: SubmitFunction =
  () =>
  async ({ update }) =>
    update({ reset: false });
