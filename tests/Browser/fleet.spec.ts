import { expect } from '@playwright/test';
import { enterAs, fitsAcross, hasNoBarriers, test } from './shop';

test('the farm is seen as it stands, and one press makes the service jobs of what will fail', async ({
  page,
}) => {
  await enterAs(page, 'Ada Morrow');
  await page.goto('/farm');
  await expect(page.getByRole('heading', { name: /Own farm/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Row A, window' })).toBeVisible();
  await hasNoBarriers(page, 'farm');
  await fitsAcross(page);

  // filters stand in the address
  await page.getByRole('button', { name: /likely to fail/ }).click();
  await expect(page).toHaveURL(/mark=fail/);
  await page.getByRole('combobox', { name: 'Looking ahead' }).selectOption('4');
  await expect(page).toHaveURL(/weeks=4/);
  await page.reload();
  await expect(page.getByRole('button', { name: /likely to fail within 4 weeks/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  );

  // machines are moved as they stand: two never in one place
  await page.getByRole('button', { name: 'Move machines' }).click();
  const free = page.getByRole('button', { name: /^free: Row A, window/ }).first();
  const machine = page.getByRole('button', { name: /Row A, window, shelf 1, place 1$/ });
  const tag = ((await machine.getAttribute('aria-label')) ?? '').split(',')[0] ?? '';
  const spot = ((await free.getAttribute('aria-label')) ?? '').replace('free: ', '');
  await machine.click();
  await expect(page.getByText(`${tag} is in hand`)).toBeVisible();
  await free.click();
  await expect(page.getByRole('button', { name: `${tag}, ${spot}` })).toBeVisible();
  await page.getByRole('button', { name: 'Done moving' }).click();

  await page.goto('/will-fail');
  await expect(page.getByRole('heading', { name: 'What will fail' })).toBeVisible();
  await hasNoBarriers(page, 'what will fail');
  await fitsAcross(page);
  const visits = page.getByRole('checkbox', { name: /^Visit / });
  const many = await visits.count();
  expect(many).toBeGreaterThan(1);
  for (let i = 1; i < many; i++) await visits.nth(i).uncheck();
  await page.getByRole('button', { name: 'Make the service job', exact: true }).click();
  await expect(page.getByText(/Made, with what is on the shelf promised/)).toBeVisible();
  await page.getByRole('status').filter({ hasText: 'Made' }).getByRole('link').first().click();
  await expect(page.getByText(/Change before it fails/).first()).toBeVisible();
});

test('a campaign begins with a thought, is walked with one thumb and tells how far it has come', async ({
  page,
}) => {
  await enterAs(page, 'Imre Vasalo');
  await page.goto('/campaigns');
  await hasNoBarriers(page, 'campaigns');
  await page.getByRole('link', { name: 'Begin a campaign' }).click();
  const name = `Loose feet ${String(Date.now()).slice(-6)}`;
  await page.getByRole('textbox', { name: 'Name' }).fill(name);
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByText(/What is to be looked for|Say at least one thing/).first()).toBeVisible();
  await page.getByRole('textbox', { name: /What to look for/ }).fill('a foot that turns by hand');
  await page.getByRole('combobox', { name: 'Family' }).selectOption({ label: 'Heron CX' });
  await page.getByRole('combobox', { name: 'Whose' }).selectOption('farm');
  await expect(page.getByRole('status').filter({ hasText: /in use/ })).toBeVisible();
  await hasNoBarriers(page, 'a new campaign');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await page.waitForURL(/\/campaigns\/\d+$/);

  await page.setViewportSize({ width: 390, height: 760 });
  await page.getByRole('link', { name: 'Walk the shelf' }).click();
  await expect(page.getByRole('button', { name: '✕ Affected' })).toBeVisible();
  await fitsAcross(page);
  await hasNoBarriers(page, 'a walk');
  await page.getByRole('button', { name: '✕ Affected' }).click();
  await expect(page.getByText(/: affected\.$/)).toBeVisible();
  // scanned: the label says where it leads
  const next = (
    await page
      .locator('main .font-mono')
      .filter({ hasText: /^[A-Z]{2}-\d/ })
      .first()
      .innerText()
  ).trim();
  await page
    .getByRole('textbox', { name: 'Scan or type a tag' })
    .last()
    .fill(`http://bench.local/machines/${next}`);
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Scanned/)).toBeVisible();
  await page.getByRole('button', { name: '✓ Well' }).click();
  await expect(page.getByText(`${next}: well.`)).toBeVisible();
  await page.getByRole('textbox', { name: 'Scan or type a tag' }).last().fill('TR-000-X');
  await page.keyboard.press('Enter');
  await expect(page.getByText('TR-000-X is not on this campaign.')).toBeVisible();
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('link', { name }).click();
  await expect(page.getByText(/2 of \d+ looked at,\s+1 affected/)).toBeVisible();
});

test('lives and what does not hold are read without a barrier, also on a tablet', async ({ page }) => {
  await enterAs(page, 'Bo Lindqvist');
  await page.goto('/lives');
  await page.getByRole('link', { name: /Heat-break fan/ }).click();
  await expect(page.getByRole('heading', { name: 'When to change it' })).toBeVisible();
  await expect(page.getByRole('img', { name: /of 100 so many still work/ })).toBeVisible();
  // what it costs is not a technician's to see
  await expect(page.getByText('when it fails')).toHaveCount(0);
  await page.getByRole('combobox', { name: 'Print hours ahead' }).selectOption('960');
  await expect(page).toHaveURL(/ahead=960/);
  await page.getByRole('link', { name: 'Tern 220', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Heat-break fan, Tern 220' })).toBeVisible();
  for (const [path, screen] of [
    ['/lives', 'lives'],
    ['/lives/nozzle', 'a life'],
    ['/does-not-hold', 'does not hold'],
    ['/farm', 'farm'],
    ['/will-fail', 'what will fail'],
    ['/campaigns', 'campaigns'],
  ] as const) {
    await page.setViewportSize({ width: 768, height: 1024 });
    await page.goto(path);
    await expect(page.getByRole('navigation', { name: 'Among the machines' })).toBeVisible();
    await fitsAcross(page);
    await hasNoBarriers(page, screen);
  }
});
