// @vitest-environment jsdom
import { afterEach, describe, expect, it, vi } from 'vitest';
import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { isIn, makeGoTo, places, press } from '$lib/ui/keys/keys.ts';
import Field from '$lib/ui/primitives/Field.svelte';

afterEach(() => {
  cleanup();
  document.body.innerHTML = '';
  vi.useRealTimers();
});
const stroke = (key: string) => new KeyboardEvent('keydown', { key });

describe('the places', () => {
  it('are each reached by a key of their own, after G and not without it', () => {
    expect(new Set(places.map((p) => p.key)).size).toBe(places.length);
    for (const p of places) {
      const went: string[] = [];
      const goTo = makeGoTo((href) => went.push(href));
      expect(goTo(stroke(p.key))).toBe(false);
      goTo(stroke('g'));
      expect(goTo(stroke(p.key.toUpperCase()))).toBe(true);
      expect(went).toEqual([p.href]);
    }
  });
  it('hold what lies below them; the floor is only itself', () => {
    const at = (path: string) => places.filter((p) => isIn(p, path)).map((p) => p.name);
    expect([at('/'), at('/engines/lock-4-pump'), at('/curves'), at('/jobs/1')]).toEqual([
      ['Floor'],
      ['Engines'],
      ['Curves'],
      []
    ]);
  });
});

describe('a key that something on the page answers to', () => {
  it('presses just that, in either case, and says when nothing does', () => {
    const pressed = vi.fn();
    const button = Object.assign(document.createElement('button'), { onclick: pressed });
    button.setAttribute('aria-keyshortcuts', 'T');
    document.body.append(button);
    expect([press('t'), press('T'), press('q')]).toEqual([true, true, false]);
    expect(pressed).toHaveBeenCalledTimes(2);
  });
  it('is a letter: nothing else is looked for', () => {
    expect([press('"]'), press('Enter'), press('')]).toEqual([false, false, false]);
  });
});

describe('a field', () => {
  it('is found by its label, with its hint, and keeps what was typed', async () => {
    render(Field, { label: 'Promised for', hint: '(may stay open)', name: 'promised', value: '2026-12-01' });
    const field = screen.getByLabelText<HTMLInputElement>(/^Promised for/);
    expect([field.name, field.value]).toEqual(['promised', '2026-12-01']);
    await fireEvent.input(field, { target: { value: '2026-12-02' } });
    expect(field.value).toBe('2026-12-02');
  });
  it('with choices is a list of them, and with nothing to say has nothing in it', () => {
    const options = [
      ['cw', 'clockwise'],
      ['ccw', 'anticlockwise']
    ] as const;
    render(Field, { label: 'Runs', options, value: 'ccw' });
    render(Field, { label: 'Name', value: undefined });
    const list = screen.getByLabelText<HTMLSelectElement>('Runs');
    expect([...list.options].map((o) => o.text)).toEqual(['clockwise', 'anticlockwise']);
    expect(list.value).toBe('ccw');
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('');
  });
  it('whose label is unseen still has it for those who have it read to them', () => {
    render(Field, { label: 'Jobs of', unseen: true, options: [['', 'everyone']], value: '' });
    expect(screen.getByLabelText('Jobs of').tagName).toBe('SELECT');
  });
});
