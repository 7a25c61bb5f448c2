import { createSubscriber } from 'svelte/reactivity';

/** Colours that were asked for since the theme last changed; none are kept while nobody follows the theme. */
let asked: Map<string, string> | null = null;

/** Tells whoever draws with the theme's colours that they have changed: another theme chosen, or the system's. */
const followTheme = createSubscriber((update) => {
  asked = new Map();
  const changed = () => {
    asked?.clear();
    update();
  };
  const root = new MutationObserver(changed);
  root.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
  const system = matchMedia('(prefers-color-scheme: dark)');
  system.addEventListener('change', changed);
  return () => {
    asked = null;
    root.disconnect();
    system.removeEventListener('change', changed);
  };
});

/**
 * A colour of the theme by its token, for drawings that styles do not reach; an effect that asks runs again with the theme.
 * The page is asked once a theme, since it lays its styles out anew before it answers.
 */
export function colour(token: string): string {
  followTheme();
  const known = asked?.get(token);
  if (known !== undefined) return known;
  const value = getComputedStyle(document.documentElement).getPropertyValue(token).trim();
  asked?.set(token, value);
  return value;
}
