/** Where the service worker keeps pages as they were last shown. */
export const PAGES = 'nemrik-pages';

/** Another person sits down: pages kept with the name of the one before are not shown again. */
export async function forgetPages(): Promise<void> {
  if (typeof caches !== 'undefined') await caches.delete(PAGES).catch(() => {});
}

/** When this page was fetched, where it is shown from this device because the server does not answer; else null. */
export const pageKeptAt = (): string | null =>
  typeof document === 'undefined' ? null : (document.documentElement.dataset.kept ?? null);
