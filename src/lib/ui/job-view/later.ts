// shown seldom, and fetched while the view is idle, so that it is there without a network

/** What a server would not take. */
export const setAside = () => import('./SetAside.svelte');
/** What a step in hand must wait for. */
export const held = () => import('./Held.svelte');
