/** Is a key meant for a field rather than for the view? Keys never fire while somebody types. */
export function inField(e: KeyboardEvent): boolean {
  const t = e.target as HTMLElement | null;
  return !!t?.closest?.('input, textarea, select, [contenteditable]');
}

export const withModifier = (e: KeyboardEvent): boolean => e.ctrlKey || e.metaKey || e.altKey;

/** Places reached by G and a letter. */
export const places: Record<string, { key: string; name: string; href: string }> = {
  f: { key: 'F', name: 'Floor', href: '/' },
  e: { key: 'E', name: 'Engines', href: '/engines' },
  c: { key: 'C', name: 'Curves', href: '/curves' },
  t: { key: 'T', name: 'Tray', href: '/tray' }
};

/** Listens for `G` then a letter; answers true when the key was taken. */
export function makeGoTo(go: (href: string) => void): (e: KeyboardEvent) => boolean {
  let armed = 0;
  return (e) => {
    const key = e.key.toLowerCase();
    if (armed > performance.now() - 1200 && places[key]) {
      armed = 0;
      go(places[key].href);
      return true;
    }
    armed = key === 'g' ? performance.now() : 0;
    return key === 'g';
  };
}
