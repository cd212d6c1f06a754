import { expect, type Page } from '@playwright/test';
import ICAL from 'ical.js';
import { enterAs, fitsAcross, hasNoBarriers, now, test } from './shop';

interface Step {
  job: number;
  tag: string;
  what: string;
  state: 'done' | 'now' | 'ahead';
  start: string;
  end: string;
  moved: boolean;
}
interface Today {
  day: string;
  madeAt: string | null;
  people: { id: number; name: string; steps: Step[] }[];
  alone: Step[];
  [key: string]: unknown;
}

const today = async (page: Page): Promise<Today> => {
  const answer = await page.request.get('/api/v1/plan/today', { headers: { Accept: 'application/json' } });
  return (await answer.json()) as Today;
};

/** A plan that was made after this one, and nothing new since. */
const planned = async (page: Page, after: string | null): Promise<Today> => {
  await expect
    .poll(
      async () => {
        const plan = await today(page);
        return plan.madeAt !== null && (after === null || plan.madeAt > after) && plan['stale'] === false;
      },
      { timeout: 120_000, intervals: [1500] },
    )
    .toBe(true);
  return today(page);
};

/** The first step of somebody that is still ahead. */
const ahead = (plan: Today, name: string): Step => {
  const step = plan.people.find((one) => one.name === name)?.steps.find((one) => one.state === 'ahead');
  if (!step) throw new Error(`${name} has nothing ahead`);
  return step;
};

const blockOf = (page: Page, step: Step) =>
  page.getByRole('button', {
    name: new RegExp(`^${step.tag}, ${step.what.replace(/[()?.+*]/g, '\\$&')}, \\d\\d:\\d\\d to `),
  });

test('a step is moved by keys alone: first what it costs, then for good, and let go again', async ({
  page,
}) => {
  await enterAs(page, 'Bo Lindqvist');
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'How good is this plan' })).toBeVisible();
  await fitsAcross(page);
  await hasNoBarriers(page, 'today');
  const plan = await planned(page, null);
  const step = ahead(plan, 'Bo Lindqvist');
  await blockOf(page, step).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Move it?' })).toBeVisible();
  await expect(page.getByText(/It costs nothing|▲|▼/).first()).toBeVisible();
  expect((await today(page)).people.flatMap((one) => one.steps).some((one) => one.moved)).toBe(false);
  await page.getByRole('button', { name: 'Move it', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Holds' })).toBeVisible();
  const after = await planned(page, plan.madeAt);
  expect(after['changedBecause']).toContain(`moved “${step.what}” of ${step.tag}`);
  await expect(page.getByText(/moved “/).first()).toBeVisible({ timeout: 20_000 });
  const moved = after.people.flatMap((one) => one.steps).find((one) => one.moved);
  // near closing time it goes to tomorrow
  if (!moved) return;
  expect(moved.what).toBe(step.what);
  expect(Date.parse(moved.start)).toBeGreaterThan(Date.parse(step.start));
  const block = page.getByRole('button', { name: /, moved$/ });
  await block.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Let it go where it goes' }).click();
  const again = await planned(page, after.madeAt);
  expect(again.people.flatMap((one) => one.steps).some((one) => one.moved)).toBe(false);
});

test('a step is dragged, and left where it was', async ({ page }) => {
  await enterAs(page, 'Imre Vasalo');
  await page.goto('/today');
  const plan = await planned(page, null);
  const block = blockOf(page, ahead(plan, 'Imre Vasalo'));
  const box = await block.boundingBox();
  if (!box) throw new Error('it is not there');
  await page.mouse.move(box.x + 2, box.y + 10);
  await page.mouse.down();
  await page.mouse.move(box.x + 40, box.y + 10, { steps: 4 });
  await page.mouse.move(box.x + 90, box.y + 10, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('heading', { name: 'Move it?' })).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).click();
  await expect(page.getByRole('heading', { name: 'Holds' })).toBeVisible();
});

test('the next is taken as the plan says, and who goes home is planned without', async ({ page }) => {
  await enterAs(page, 'Tove Kessler');
  await page.goto('/today');
  const plan = await planned(page, null);
  await page.getByRole('button', { name: 'Something changed…' }).click();
  await page.getByRole('textbox', { name: 'Why' }).fill('the ferry');
  await hasNoBarriers(page, 'something changed');
  await page.getByRole('button', { name: 'Plan anew' }).click();
  await expect(page.getByRole('heading', { name: 'Something changed' })).toHaveCount(0);
  const without = await planned(page, plan.madeAt);
  expect(
    without.people.find((one) => one.name === 'Tove Kessler')?.steps.filter((one) => one.state === 'ahead'),
  ).toEqual([]);
  await expect(page.getByText(/Tove Kessler is away/).first()).toBeVisible({ timeout: 20_000 });
  await page.goto('/hours');
  await page
    .getByRole('listitem')
    .filter({ hasText: 'the ferry' })
    .getByRole('button', { name: 'here after all' })
    .click();
  await expect(page.getByText('the ferry')).toHaveCount(0);
  await planned(page, without.madeAt);
  await page.goto('/today');
  const next = (await today(page))['next'] as Step;
  await page.getByRole('button', { name: 'Take the next' }).click();
  await page.waitForURL(`/jobs/${next.job}`);
});

test('hours are kept by a lead, and a calendar of one’s own is read by another reader', async ({ page }) => {
  await enterAs(page, 'Ada Morrow');
  await page.goto('/hours');
  const saturday = page.getByRole('textbox', { name: 'The shop, Sat' });
  await saturday.fill('nine to noon');
  await page.getByRole('button', { name: 'Keep' }).first().click();
  await expect(page.getByText(/no span of hours|no time of the clock/)).toBeVisible();
  await saturday.fill('9:00–12:00');
  await page.getByRole('button', { name: 'Keep' }).first().click();
  await expect(page.getByText('✓ kept')).toBeVisible();
  await expect(saturday).toHaveValue('09:00–12:00');
  await saturday.fill('');
  await page.getByRole('button', { name: 'Keep' }).first().click();
  await hasNoBarriers(page, 'hours');

  await page.getByRole('button', { name: /^(Make the address|A new address)$/ }).click();
  const address = await page.getByText(/\/calendar\/[0-9a-f]{40}\.ics/).innerText();
  const plan = await planned(page, null);
  const answer = await page.request.get(new URL(address).pathname);
  expect(answer.headers()['content-type']).toContain('text/calendar');
  const calendar = new ICAL.Component(ICAL.parse(await answer.text()) as unknown[]);
  const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
  for (const step of plan.people.find((one) => one.name === 'Ada Morrow')?.steps ?? []) {
    if (step.state === 'done') continue;
    const event = events.find((one) => one.summary === `${step.tag}: ${step.what}`);
    expect(event?.startDate.toJSDate().getTime(), step.what).toBe(Date.parse(step.start));
  }
  await page.getByRole('button', { name: 'End it' }).click();
  await expect(page.getByRole('button', { name: 'Make the address' })).toBeVisible();
  expect((await page.request.get(new URL(address).pathname)).status()).toBe(404);
});

test('a day that holds is offered at Book in and stands with the estimate', async ({ page }) => {
  await enterAs(page, 'Sam Okafo');
  await page.goto('/book-in');
  await page.getByRole('radio', { name: 'New here' }).click();
  await page.getByRole('radio', { name: 'Wren Mini', exact: true }).click();
  await page.getByRole('button', { name: /in 9 of 10$/ }).click();
  const day = await page.getByLabel('Promised for').inputValue();
  expect(Date.parse(day)).toBeGreaterThan(now() - 2 * 86_400_000);
  await page.getByLabel('Promised for').fill('2026-01-05');
  await expect(page.getByText(/this day holds in fewer than 5 of 100/)).toBeVisible();
  const jobs = await page.request.get('/api/v1/bench', { headers: { Accept: 'application/json' } });
  const bench = (await jobs.json()) as { groups: { lines: { job: number; owner: string | null }[] }[] };
  const owned = bench.groups.flatMap((one) => one.lines).find((one) => one.owner !== null);
  await page.goto(`/jobs/${owned?.job}/money`);
  await expect(page.getByRole('heading', { name: 'When it is ready' })).toBeVisible();
});

test('every page of the plan reads without a barrier, also on a tablet', async ({ page }) => {
  await enterAs(page, 'Ada Morrow');
  await page.setViewportSize({ width: 768, height: 1024 });
  for (const [path, screen, heading] of [
    ['/today', 'today', 'Today'],
    ['/week', 'this week', 'This week'],
    ['/hand-over', 'hand-over', /^Hand-over/],
    ['/went', 'how it went', 'How it went'],
    ['/hours', 'hours', 'Hours and days off'],
  ] as const) {
    await page.goto(path);
    await expect(page.getByRole('heading', { name: heading, level: 1 })).toBeAttached();
    await fitsAcross(page);
    await hasNoBarriers(page, screen);
  }
});

test('today stands with nobody, with two hundred steps and with long words', async ({ page }) => {
  await enterAs(page, 'Bo Lindqvist');
  const real = await today(page);
  const as = async (change: Partial<Today>): Promise<void> => {
    await page.unroute(/\/api\/v1\/plan\/today/);
    await page.route(/\/api\/v1\/plan\/today/, (route) => route.fulfill({ json: { ...real, ...change } }));
    await page.goto('/today');
  };
  await as({ people: [], alone: [], comesIn: [], unplanned: [], warnings: [], next: null });
  await expect(page.getByText(/Nobody works at the bench here/)).toBeVisible();
  const step = real.people.flatMap((one) => one.steps).find((one) => one.state === 'ahead');
  if (!step) throw new Error('an empty plan');
  const long = 'Überlaufschutzleiterdurchgangsprüfung'.repeat(4);
  const many = Array.from({ length: 200 }, (_, i) => ({
    ...step,
    job: i + 1,
    what: i === 0 ? long : `Step ${i}`,
  }));
  await as({
    people: real.people.map((one) => ({ ...one, name: long, steps: many })),
    alone: many
      .slice(0, 60)
      .map((one) => ({ ...one, aloneUntil: new Date(Date.parse(one.end) + 7_200_000).toISOString() })),
    holds: long,
    changedBecause: long,
  });
  await expect(page.getByRole('button', { name: new RegExp(`${step.tag}, Step 7,`) }).first()).toBeAttached();
  await fitsAcross(page);
});
