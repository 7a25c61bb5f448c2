/** What a server would not take is shown seldom; it is fetched while the view is idle, so that it is there without a network. */
export const setAside = () => import('./SetAside.svelte');
