import type { Page } from '@playwright/test';
import { expect } from './bench.ts';
import { A } from './workshop.ts';

/** Working at a job as a technician does: typing figures, saying that a step is done, reading the card. */
export const head = (page: Page) => page.getByRole('heading', { level: 1 });
export const choose = (school: string, option: string) => ({ kind: 'choose', school, option }) as const;

const UNITS = {
  length: 'mm',
  angle: 'deg',
  timing: 'deg',
  bearing: 'deg',
  torque: 'Nm',
  count: 'count',
  turns: 'turn',
  speed: 'rpm',
  pressure: 'kPa'
} as const;
export type Read = keyof typeof UNITS;
/** Figures as they are logged, with the gauge they were read with. */
export const read = (step: string, slot: string, quantity: Read, gaugeId: string | null, ...figures: string[]) =>
  figures.map(
    (text) => ({ kind: 'reading', step, slot, quantity, text, defaultUnit: UNITS[quantity], gaugeId }) as const
  );

export async function type(page: Page, text: string): Promise<void> {
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
}

/** Says that the step in hand is done; what is written is written before it goes on, what is refused here is not waited for. */
export async function done(page: Page): Promise<void> {
  await page.getByRole('main').click({ position: { x: 5, y: 5 } });
  const written = page
    .waitForResponse((r) => r.url().endsWith('/events') && r.request().method() === 'POST', { timeout: 1500 })
    .catch(() => null);
  // each look is as it should be
  for (let k = 0; k < 8; k++) await page.keyboard.press('y');
  await page.keyboard.press('d');
  await written;
}

/** The card says these, on screen as soon as all is written, and there is one to print. */
export async function card(page: Page, jobId: string, ...lines: string[]): Promise<void> {
  await expect(async () => {
    await page.goto(`${A}/jobs/${jobId}/card`);
    for (const l of lines) await expect(page.getByRole('main')).toContainText(l, { timeout: 500 });
  }).toPass();
  const pdf = await page.request.get(`${A}/jobs/${jobId}/card.pdf`);
  expect(pdf.headers()['content-type']).toContain('pdf');
  expect((await pdf.body()).length).toBeGreaterThan(2000);
}

export const strokeSigns = [
  { kind: 'sign', sign: 'airPushedOut', seen: true } as const,
  { kind: 'sign', sign: 'bothValvesClosed', seen: true } as const
];
/** Both sides alike, 343.5 and 12.5: true TDC reads 358 on the wheel. */
export const topFound = (dial: string, wheel: string) => [
  ...read('tdc', 'depth', 'length', dial, '1.8'),
  ...[0, 1, 2].flatMap(() => [
    ...read('tdc', 'before', 'angle', wheel, '343.5'),
    ...read('tdc', 'after', 'angle', wheel, '12.5')
  ])
];
