import { page } from '$app/state';

/** Says with a request whose name stands at the top of the page: it is written under no other. */
export function asShown(): Record<string, string> {
  const me = page.data.person as { id: string } | null | undefined;
  return me ? { 'x-nemrik-by': me.id } : {};
}
