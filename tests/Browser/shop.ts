import AxeBuilder from '@axe-core/playwright';
import { expect, test as base, type BrowserContext, type Page, type Request } from '@playwright/test';

/** The time it is where the server is: a whole run may be played on another day than today. */
export const now = (): number => Date.now() + Number(process.env['SECONDS_AHEAD'] ?? 0) * 1000;

const asked = new WeakMap<Page, Set<Request>>();

/** A browser whose clock goes as the server's. */
export async function onTheDay(context: BrowserContext): Promise<BrowserContext> {
  context.on('page', (page) => {
    const open = new Set<Request>();
    asked.set(page, open);
    page.on('request', (one) => open.add(one));
    page.on('requestfinished', (one) => open.delete(one));
    page.on('requestfailed', (one) => open.delete(one));
    // a page that is left takes its questions with it
    page.on('framenavigated', (frame) => {
      if (frame === page.mainFrame()) open.clear();
    });
  });
  if (process.env['SECONDS_AHEAD']) await context.clock.setSystemTime(now());
  return context;
}

export const test = base.extend({
  context: async ({ context }, use) => use(await onTheDay(context)),
});

/** Everything the page has asked for is here, and what came has been drawn: nothing more is asked while two frames pass. */
export async function settled(page: Page): Promise<void> {
  let quiet = 0;
  await expect
    .poll(
      async () => {
        await page.evaluate(
          () => new Promise<void>((done) => requestAnimationFrame(() => requestAnimationFrame(() => done()))),
        );
        quiet = (asked.get(page)?.size ?? 0) === 0 ? quiet + 1 : 0;
        return quiet > 1;
      },
      { timeout: 30_000, intervals: [10, 20, 50] },
    )
    .toBe(true);
}

const sessions = new Map<string, Awaited<ReturnType<BrowserContext['cookies']>>>();

/** Comes in as one of the demo people; who came in before goes on with the same session, for it is a test of its own. */
export async function enterAs(page: Page, name: string): Promise<void> {
  const kept = sessions.get(name);
  if (kept) await page.context().addCookies(kept);
  await page.goto('/');
  const places = page.getByRole('navigation', { name: 'Places' });
  const login = page.getByLabel('Login');
  await expect(places.or(login).first()).toBeVisible();
  if (await login.isVisible()) await page.getByRole('button', { name }).click();
  await expect(places).toBeVisible();
  sessions.set(name, await page.context().cookies());
}

/** No serious barrier for anybody on this screen. */
export async function hasNoBarriers(page: Page, screen: string): Promise<void> {
  // in the page itself, which has no frame of another origin, and without the nodes in which nothing is wrong: a third of the time
  const { violations } = await new AxeBuilder({ page })
    .options({ resultTypes: ['violations'] })
    .setLegacyMode(true)
    .analyze();
  const serious = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
  expect(
    serious.map((v) => `${screen}: ${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`),
  ).toEqual([]);
}

/** Nothing sticks out sideways. */
export async function fitsAcross(page: Page): Promise<void> {
  // with everything on it that comes from the server
  await settled(page);
  const over = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(over).toBeLessThanOrEqual(1);
}

export const station = (page: Page, name: string) =>
  expect(page.getByRole('group', { name: /Stations/ }).locator('[aria-current=step]')).toHaveText(name);

/** Books a new machine of a family in and walks it to Find; the machine is nobody's else, so tests do not meet. */
export async function atFind(page: Page, family: string, complaint: string): Promise<void> {
  await page.goto('/book-in');
  await page.getByRole('radio', { name: 'New here' }).click();
  await page.getByRole('radio', { name: family, exact: true }).click();
  await page.getByRole('radio', { name: /own farm/ }).click();
  await page.getByRole('textbox', { name: /Complaint/ }).fill(complaint);
  await page.getByRole('radio', { name: 'Nobody knows' }).click();
  await page.getByRole('button', { name: 'Book in', exact: true }).click();
  await page.getByRole('link', { name: 'On to the job' }).click();
  await page.getByRole('button', { name: 'No to all of them' }).click();
  await page.getByRole('button', { name: 'On to Find' }).click();
  await station(page, 'Find');
  // its script comes when it is opened: keys pressed before are heard by nobody
  await expect(page.getByRole('combobox', { name: /What it does/ })).toBeVisible();
}

/** Passes the proof that is open, with a value inside its limits where one is measured. */
export async function proveOne(page: Page): Promise<void> {
  const before = await page.locator('h2', { hasText: 'The ladder' }).innerText();
  const value = page.getByRole('textbox', { name: /^Measured/ });
  if (await value.isVisible()) {
    const label = (await page.locator('label', { hasText: 'Measured' }).innerText()).match(/[\d.]+/g) ?? [
      '1',
    ];
    const [first = 1, second] = label.map(Number);
    const least =
      label.length > 1
        ? first
        : /at least/.test(await page.locator('label', { hasText: 'Measured' }).innerText())
          ? first
          : 0;
    await value.fill(String(((second ?? (least > 0 ? least * 2 : first)) + least) / 2).replace('.', ','));
    await page.getByRole('button', { name: 'Write it down' }).click();
  } else {
    await page.getByRole('button', { name: /^Passed: / }).click();
  }
  await expect(page.locator('h2', { hasText: 'The ladder' })).not.toHaveText(before);
}
