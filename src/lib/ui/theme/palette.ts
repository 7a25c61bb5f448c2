import { createSubscriber } from 'svelte/reactivity';

/** Tells whoever draws with the theme's colours that they have changed: another theme chosen, or the system's. */
const followTheme = createSubscriber((update) => {
  const root = new MutationObserver(update);
  root.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
  const system = matchMedia('(prefers-color-scheme: dark)');
  system.addEventListener('change', update);
  return () => {
    root.disconnect();
    system.removeEventListener('change', update);
  };
});

/** A colour of the theme by its token, for drawings that styles do not reach; an effect that asks runs again with the theme. */
export function colour(token: string): string {
  followTheme();
  return getComputedStyle(document.documentElement).getPropertyValue(token).trim();
}
