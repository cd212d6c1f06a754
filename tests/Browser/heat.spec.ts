import { expect, type Page } from '@playwright/test';
import { atFind, enterAs, fitsAcross, hasNoBarriers, test } from './shop';

const hot = {
  run: 990001,
  job: 1,
  tag: 'TR-222-R',
  printer: '192.168.1.40:8641',
  hot: true,
  alarm: null as string | null,
  since: null,
  hotendC: 204.6,
  bedC: 60.1,
  ageS: 42,
};

/** What the runner tells every screen, as this test wants it. */
async function told(page: Page, printers: (typeof hot)[], at = new Date()): Promise<void> {
  await page.unroute('**/heat.json');
  await page.route('**/heat.json', (route) =>
    route.fulfill({ json: { at: at.toISOString(), printers }, headers: { Date: new Date().toUTCString() } }),
  );
}

test('a printer whose heaters may be on is said on every screen, also before anybody has logged in', async ({
  page,
}) => {
  await told(page, [{ ...hot, alarm: 'Heaters may be on: pull the plug.' }]);
  await page.goto('/');
  const alarm = page.getByRole('alert').filter({ hasText: 'pull the plug' });
  await expect(alarm).toContainText('TR-222-R');
  await expect(alarm).toContainText('hot end 205 °C, bed 60 °C, 42 s ago');
  await expect(page.getByRole('button', { name: 'Its plug is pulled' })).toBeHidden();

  await enterAs(page, 'Imre Vasalo');
  for (const place of ['/', '/machines', '/shelf', '/guides', '/instruments']) {
    await page.goto(place);
    await expect(alarm).toBeVisible();
    await expect(page.getByRole('button', { name: 'Its plug is pulled' })).toBeVisible();
  }
  await hasNoBarriers(page, 'alarm');
  await page.setViewportSize({ width: 768, height: 900 });
  await fitsAcross(page);

  await told(page, [hot]);
  await expect(alarm).toBeHidden();
});

test('a runner that says nothing new while something is hot is an alarm of its own', async ({ page }) => {
  await told(page, [hot]);
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Imre Vasalo' })).toBeVisible();
  await expect(page.getByRole('alert')).toBeHidden();
  await told(page, [hot], new Date(Date.now() - 60_000));
  await expect(page.getByRole('alert')).toContainText('The runner is not heard of');
  await told(page, [{ ...hot, hot: false }], new Date(Date.now() - 60_000));
  await expect(page.getByRole('alert')).toBeHidden();
});

test('a write whose answer is a 503 is sent again with its key and done once', async ({ page }) => {
  await enterAs(page, 'Imre Vasalo');
  await atFind(page, 'Tern 220', 'clicks');
  const keys: string[] = [];
  await page.route('**/api/v1/jobs/*/hands', async (route) => {
    keys.push(route.request().headers()['idempotency-key'] ?? '');
    if (keys.length > 2) return route.continue();
    // it was done, and its answer was lost on the way
    await route.fetch();
    return route.fulfill({
      status: keys.length === 1 ? 502 : 503,
      contentType: 'application/problem+json',
      body: JSON.stringify({
        type: 'about:blank',
        title: 'Away',
        status: 503,
        detail: 'The database is away just now.',
        errors: [],
      }),
    });
  });
  await page.getByRole('button', { name: 'Put down' }).click();
  await expect(page.getByText('The database is away just now.')).toBeVisible();
  await expect(page.getByText('The database is away just now.')).toBeHidden();
  await expect(page.getByRole('button', { name: 'Take in hand' })).toBeVisible();
  expect(keys.length).toBe(3);
  expect(new Set(keys).size).toBe(1);
});
