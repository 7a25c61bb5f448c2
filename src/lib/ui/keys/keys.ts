/** Is a key meant for a field rather than for the view? Keys never fire while somebody types. */
export function inField(e: KeyboardEvent): boolean {
  const t = e.target as HTMLElement | null;
  return !!t?.closest?.('input, textarea, select, [contenteditable]');
}

export const withModifier = (e: KeyboardEvent): boolean => e.ctrlKey || e.metaKey || e.altKey;

/** The places of the product, once, for the header, for `G` and a letter, and for the list of keys. */
export const places = [
  { key: 'f', name: 'Floor', href: '/', help: 'to the floor' },
  { key: 'e', name: 'Engines', href: '/engines', help: 'to the engines' },
  { key: 'c', name: 'Curves', href: '/curves', help: 'to the curves' },
  { key: 't', name: 'Tray', href: '/tray', help: 'to the tray' }
] as const;

/** Does an address lie in a place? The floor is only itself; every other place has pages below it. */
export const isIn = (place: { href: string }, path: string): boolean =>
  place.href === '/' ? path === '/' : path.startsWith(place.href);

/**
 * Presses what on the page says that it answers to this key (`aria-keyshortcuts`); false when nothing does.
 * A surface so brings its own key without telling the page.
 */
export function press(key: string): boolean {
  if (!/^[a-z]$/i.test(key)) return false;
  const on = document.querySelector<HTMLElement>(`[aria-keyshortcuts="${key.toUpperCase()}"]`);
  on?.click();
  return on !== null;
}

/** Listens for `G` then a letter; answers true when the key was taken. */
export function makeGoTo(go: (href: string) => void): (e: KeyboardEvent) => boolean {
  let armed = -Infinity;
  return (e) => {
    const key = e.key.toLowerCase();
    const place = places.find((p) => p.key === key);
    if (armed > performance.now() - 1200 && place) {
      armed = -Infinity;
      go(place.href);
      return true;
    }
    armed = key === 'g' ? performance.now() : -Infinity;
    return key === 'g';
  };
}
