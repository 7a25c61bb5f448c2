import { test as base, expect, type Locator, type Page } from '@playwright/test';

/** Pages that fail the test on any error in the console, and a `goto` that waits until the page is alive. */
export const test = base.extend<{ quiet: void }>({
  quiet: [
    async ({ page }, use) => {
      const errors: string[] = [];
      listen(page, errors);
      await use();
      expect(errors).toEqual([]);
    },
    { auto: true }
  ]
});
export { expect };

/** Errors a test provokes on purpose, such as an answer of 503 while the database is down. */
const EXPECTED = /status of (401|404|409|422|500|503)|ERR_CONNECTION_REFUSED|net::ERR_/;

function listen(page: Page, errors: string[]): void {
  page.on('pageerror', (e) => errors.push(e.message));
  page.on('console', (m) => {
    if (m.type() === 'error' && !EXPECTED.test(m.text())) errors.push(m.text());
  });
}

export async function open(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await alive(page);
}

export const alive = (page: Page) => page.waitForSelector('html[data-hydrated]');

/** Says who is at the bench, adding the name when it is new. */
export async function workAs(page: Page, name: string): Promise<void> {
  const panel = page.getByRole('dialog', { name: /at the bench/ });
  const me = page.getByRole('banner').getByRole('button').first();
  // it opens by itself where nobody has said who they are, and then comes a moment later: a press would close it
  if ((await me.getAttribute('aria-expanded')) !== 'true') await me.click();
  await expect(panel.getByLabel('Another name')).toBeVisible();
  const known = panel.getByRole('button', { name: new RegExp(`^${name}`) });
  if (await known.isVisible()) await known.click();
  else {
    await panel.getByLabel('Another name').fill(name);
    await panel.getByRole('button', { name: `Work as ${name}` }).click();
  }
  await expect(me).toHaveText(name);
  await expect(panel).toBeHidden();
}

/** Types a reading the way it is done at the bench: digits anywhere, then Enter. */
export async function type(page: Page, text: string): Promise<void> {
  await page.locator('#main').focus();
  await page.keyboard.type(text, { delay: 4 });
  await page.keyboard.press('Enter');
  await expect(lineOf(page)).toHaveValue('');
}

/** Says by keys that what the step wants seen is as it should be, and that it is done. */
export async function pressDone(page: Page): Promise<void> {
  for (let k = 0; k < 8; k++) await page.keyboard.press('y');
  await page.keyboard.press('d');
}

/** Marks the step in hand as done and waits for the next. */
export async function done(page: Page, title: string): Promise<void> {
  await expect(stepInHand(page)).toHaveAccessibleName(holding(title));
  await page.locator('#main').focus();
  // each look is as it should be
  for (let k = 0; k < 8; k++) await page.keyboard.press('y');
  await page.getByRole('button', { name: 'Done D' }).click();
  await expect(stepInHand(page)).not.toHaveAccessibleName(holding(`· ${title}`));
}

/** The work: it is called by its phase and the step in hand. */
/** Answers what a step asks in words; where it was answered before, its line is opened first. */
export async function answer(page: Page, question: string, words: string): Promise<void> {
  const group = page.getByRole('group', { name: question });
  const line = page.locator('summary', { hasText: question });
  await expect(line.or(group).first()).toBeVisible();
  if (!(await group.isVisible())) await line.click();
  await group.getByRole('button', { name: words, exact: true }).click();
}

export const stepInHand = (page: Page) => page.getByRole('main');
/** What a name of the work says when this is in it. */
export const holding = (text: string) => new RegExp(text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'));
export const lineOf = (page: Page) => page.getByRole('contentinfo').getByRole('textbox');
/** The readings of the step in hand with what they come to, and their table: the first, before that of the doubt. */
export const readings = (page: Page) => page.getByRole('group', { name: 'Readings' });
export const readingsTable = (page: Page) => readings(page).getByRole('table').first();
/** Degrees a hand high in the plan of the next move. */
export const degreesIn = (plan: Locator) => plan.getByText(/^[\d.]+°$/);
/** The rows of the floor. */
export const jobRows = (page: Page) => page.getByRole('main').getByRole('link', { name: /of \d+ steps/ });

export const number = (text: string | null): number =>
  Number((text ?? '').replace('\u2212', '-').match(/-?\d+(\.\d+)?/)?.[0]);
