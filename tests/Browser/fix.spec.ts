import { expect, type Page } from '@playwright/test';
import { atFind, enterAs, fitsAcross, hasNoBarriers, now, onTheDay, settled, station, test } from './shop';

/** Walks a new machine to Fix with a cooked liner. */
async function atFix(page: Page, family: string): Promise<void> {
  await atFind(page, family, 'stops feeding after a while');
  const adder = page.getByRole('combobox', { name: /What it does/ });
  for (const [letters, name] of [
    ['jam', 'jams when warm'],
    ['hot mat', 'hot material'],
  ] as const) {
    await adder.fill(letters);
    await page.getByRole('option', { name: new RegExp(name) }).click();
    await expect(page.getByRole('button', { name: new RegExp(`Withdraw: ${name}`) })).toBeVisible();
  }
  await page.getByRole('checkbox', { name: 'It is: Liner cooked' }).check();
  await page.getByRole('button', { name: /^Confirm: Liner cooked/ }).click();
  await station(page, 'Fix');
  // what comes after the first look at Fix pushes the rest of it down, under the pointer
  await expect(page.getByText('Fetching the tray…')).toBeHidden();
  await settled(page);
}

/** Picks a position until it stands there: a list that moved while it was pressed took no press. */
async function atPosition(page: Page, name: string): Promise<void> {
  const field = page.getByRole('combobox', { name: 'Which position' });
  await expect(async () => {
    await field.fill(name);
    await page.getByRole('option', { name }).click({ timeout: 5_000 });
    await expect(page.getByText(`${name}: `)).toBeVisible({ timeout: 3_000 });
  }).toPass();
}

/** One line for the tray, by keyboard alone. */
async function off(page: Page, what: string, fasteners: string, sockets = ''): Promise<void> {
  const form = page.getByRole('form', { name: 'Something comes off' });
  await expect(form.getByLabel('What came off')).toBeFocused();
  await page.keyboard.type(what);
  await page.keyboard.press('Tab');
  await page.keyboard.type(fasteners);
  if (sockets) {
    await page.keyboard.press('Tab');
    await page.keyboard.type(sockets);
  }
  await page.keyboard.press('Enter');
  await expect(form.getByText(`On the tray: ${what}.`)).toBeVisible();
}

test('the tray: written by keyboard, sent once when the server is back, put together in its order', async ({
  page,
  context,
}) => {
  await enterAs(page, 'Bo Lindqvist');
  await atFix(page, 'Tern 220');
  await page.keyboard.press('t');
  await off(page, 'Front cover', '2 M3x25');
  await off(page, 'Fan duct', '4 M3x12');

  // what cannot be read is told at its field, and what can be
  await page.keyboard.type('Board');
  await page.keyboard.press('Tab');
  await page.keyboard.type('2 N2.5x8');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/“2 N2.5x8” cannot be read. Write a count and a size: 4 M3x12/)).toBeVisible();
  await hasNoBarriers(page, 'take off form');
  const fasteners = page.getByLabel('Fasteners, such as 4 M3x12');
  await fasteners.fill('2 M2.5x8');
  await page.getByLabel('Unplugged, by socket').fill('E, TH');
  await context.setOffline(true);
  await page.keyboard.press('Enter');
  await expect(page.getByText(/No connection/)).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText('On the tray: Board.')).toBeVisible();
  const list = page.getByRole('list', { name: 'Back together' });
  await expect(list.getByRole('listitem')).toHaveCount(3);
  await page.keyboard.press('Escape');

  // last off, first on; the one below it waits
  await expect(list.getByRole('listitem').first()).toContainText('Board');
  await expect(page.getByRole('button', { name: 'Back on: Fan duct' })).toBeDisabled();
  await page.getByRole('button', { name: 'Not quite as it came out…' }).click();
  await page.getByLabel(/What went in/).fill('3 M2.5x8');
  await page.getByRole('button', { name: 'Back on, so' }).click();
  await expect(page.getByText(/which has places for 2/)).toBeVisible();
  await page.getByLabel(/What went in/).fill('1 M2.5x8');
  await page.getByRole('button', { name: 'Back on, so' }).click();
  const amiss = page.getByRole('status').getByText('M2.5×8: 2 out, 1 in.');
  await expect(amiss).toBeVisible();
  await hasNoBarriers(page, 'tray with a screw short');

  // it keeps the job at Fix, until it is a finding that the screw was never there
  await page.getByRole('button', { name: 'Back on: Fan duct' }).click();
  await page.getByRole('button', { name: 'Back on: Front cover' }).click();
  await page.getByRole('button', { name: /^Note the mend/ }).click();
  await page.getByRole('button', { name: /^Done so: Liner cooked/ }).click();
  await expect(page.getByText('✓ mend noted')).toBeVisible();
  await expect(page.getByRole('button', { name: 'On to Prove' })).toBeDisabled();
  await page.getByRole('button', { name: 'It was not there when I opened it' }).click();
  await expect(amiss).toBeHidden();
  await expect(page.getByRole('button', { name: 'On to Prove' })).toBeEnabled();
  await page.reload();
  await expect(page.getByText('all back')).toBeVisible();
  await page.getByRole('link', { name: 'Tray sheet' }).click();
  await expect(page.getByRole('heading', { name: 'Back together, last off first' })).toBeVisible();
  await hasNoBarriers(page, 'tray sheet');
});

test('a guide: its steps fill the tray, its clock rings on another screen after a reload, its parts are promised', async ({
  page,
  browser,
}) => {
  await enterAs(page, 'Imre Vasalo');
  await atFix(page, 'Tern 220');
  await page.getByRole('button', { name: 'Begin: Replace the PTFE tube (liner)' }).click();
  const guide = page.getByRole('region', { name: 'Guide: Replace the PTFE tube (liner)' });
  await expect(guide.getByText('power on').first()).toBeVisible();
  await guide.getByRole('button', { name: 'Promise the kit to this job' }).click();
  await expect(guide.getByText(/1 promised/)).toBeVisible();
  for (let step = 1; step <= 4; step++) {
    await guide.getByRole('button', { name: `Done: step ${step}`, exact: true }).click();
  }
  await guide.getByRole('button', { name: 'Start 12 min' }).click();
  await expect(guide.getByText(/cool down/).last()).toBeVisible();
  await page.reload();
  await expect(
    page.getByRole('region', { name: 'Guide: Replace the PTFE tube (liner)' }).getByText(/1[12]:\d\d/),
  ).toBeVisible();
  await hasNoBarriers(page, 'guide in a job');

  // somebody else sees the same clock; moved on, it rings there until it is stopped
  const elsewhere = await onTheDay(await browser.newContext());
  const other = await elsewhere.newPage();
  await enterAs(other, 'Ada Morrow');
  await expect(other.getByRole('link', { name: /cool down 1[12]:\d\d/ })).toBeVisible();
  await other.clock.install({ time: now() + 13 * 60_000 });
  await other.goto('/guides');
  await expect(other.getByRole('alert').getByText('Time is up: cool down')).toBeVisible();
  await other.getByRole('alert').getByRole('button', { name: 'Stop' }).click();
  await expect(other.getByRole('alert')).toBeHidden();
  await hasNoBarriers(other, 'guides');
  await elsewhere.close();

  const again = page.getByRole('region', { name: 'Guide: Replace the PTFE tube (liner)' });
  for (let step = 5; step <= 12; step++) {
    await again.getByRole('button', { name: `Done: step ${step}`, exact: true }).click();
  }
  const list = page.getByRole('list', { name: 'Back together' });
  await expect(list.getByRole('listitem')).toHaveCount(2);
  await page.getByRole('button', { name: 'Back on: Liner' }).click();
  await page.getByRole('button', { name: 'First pass: Hot-end cover' }).click();
  await expect(list.getByText('Now snug, it is plastic.')).toBeVisible();
  await page.getByRole('button', { name: 'Back on: Hot-end cover' }).click();
  await again.getByLabel('Minutes of hands').fill('33');
  await again.getByRole('button', { name: 'Guide done' }).click();
  await expect(page.getByText('✓ mend noted')).toBeVisible();

  // the part goes into its position, and the passport knows why
  await page.keyboard.press('u');
  await page
    .getByRole('list', { name: 'Parts that fit' })
    .getByRole('button', { name: /Liner/ })
    .first()
    .click();
  await page.getByRole('textbox', { name: 'Why' }).fill('charred at the end');
  await page.getByRole('button', { name: 'Take from bin' }).click();
  await expect(page.getByText(/1 × Liner/).first()).toBeVisible();
  await page.getByTitle('Passport').click();
  await page.getByRole('button', { name: /^hot end and nozzle/ }).click();
  await page.getByRole('list', { name: 'Positions' }).getByText('Liner', { exact: false }).first().click();
  await expect(page.getByText(/charred at the end/)).toBeVisible();
  await hasNoBarriers(page, 'passport');
  for (const width of [768, 1280, 1920]) {
    await page.setViewportSize({ width, height: 800 });
    await fitsAcross(page);
  }
});

test('guides, papers and a rail that is turned once', async ({ page }) => {
  await enterAs(page, 'Bo Lindqvist');
  await page.keyboard.press('g');
  await page.keyboard.press('u');
  await page.getByLabel('A word of it').fill('nozzle hot');
  await expect(page.getByText('Change a screwed nozzle, hot').first()).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Change a screwed nozzle, hot' })).toBeVisible();
  await expect(page.getByText('heater off, still hot').first()).toBeVisible();
  await hasNoBarriers(page, 'guide');
  await fitsAcross(page);

  await page.goto('/families/tern-220/papers?place=TH');
  await expect(page.getByRole('img', { name: 'Connector map of the board' })).toBeVisible();
  await expect(page.getByText('TH', { exact: true }).first()).toBeVisible();
  await hasNoBarriers(page, 'papers');

  await atFix(page, 'Tern 220 D');
  await page.getByText('Turn a rail, or take a part out for good').click();
  await atPosition(page, 'Y rail left');
  await page.getByRole('button', { name: 'Turned to a fresh face' }).click();
  await expect(page.getByText('Y rail left: ')).toBeHidden();
  await atPosition(page, 'Y rail left');
  await expect(page.getByText(/no fresh face is left/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Turned to a fresh face' })).toBeHidden();
  // taken out for good, though it still worked: a life that did not end by failing
  await expect(page.getByRole('radio', { name: 'it still worked' })).toBeHidden();
  await page.getByRole('radio', { name: 'spare, untested' }).click();
  await page.getByRole('radio', { name: 'it still worked' }).click();
  const out = page.waitForRequest((one) => one.method() === 'POST' && one.url().includes('/positions/'));
  await page.getByRole('button', { name: 'Taken out' }).click();
  expect((await out).postDataJSON()).toMatchObject({ became: 'spare', ended: 'worked' });
  // what is picked before the answer is there is let go with it
  await expect(page.getByText('Y rail left: ')).toBeHidden();
  await atPosition(page, 'Y rail left');
  await expect(page.getByText(/nothing in it now/)).toBeVisible();
  await page.setViewportSize({ width: 768, height: 1000 });
  await fitsAcross(page);
});
