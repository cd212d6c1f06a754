import { expect, type Page } from '@playwright/test';
import { enterAs, fitsAcross, hasNoBarriers, proveOne, settled, station, test } from './shop';

/** The estimate goes to the owner, who goes ahead up to a sum. */
async function agreed(page: Page, press: RegExp, upTo: string): Promise<void> {
  await page.getByRole('button', { name: press }).click();
  await expect(page.getByRole('textbox', { name: 'What is said' })).toHaveValue(/we expect|such cases/i);
  await page.getByRole('button', { name: 'It is sent; wait for the answer' }).click();
  await expect(page.getByText('has not answered')).toBeVisible();
  await page.getByRole('radio', { name: /Go ahead up to/ }).click();
  await page.getByRole('textbox', { name: 'Up to' }).fill('1,2,3');
  await page.getByRole('button', { name: 'Keep the answer' }).click();
  await expect(page.getByText(/more than one sign/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Up to' }).fill(upTo);
  await page.getByRole('button', { name: 'Keep the answer' }).click();
  await expect(page.locator('section[aria-labelledby=estimate]')).toContainText('✓ Go ahead up to');
}

test('an estimate is asked, found dearer, asked again, mended, billed and stands in the ledger', async ({
  page,
}) => {
  test.setTimeout(300_000);
  await enterAs(page, 'Ada Morrow');
  await page.goto('/book-in');
  await page.getByRole('radio', { name: 'New here' }).click();
  await page.getByRole('radio', { name: 'Tern 220', exact: true }).click();
  await page
    .getByRole('textbox', { name: 'Owner’s name' })
    .fill(`Nora Quist ${String(Date.now()).slice(-6)}`);
  await page.getByRole('textbox', { name: /Complaint/ }).fill('stops feeding after a while');
  await page.getByRole('radio', { name: 'Nobody knows' }).click();
  await page.getByRole('button', { name: 'Book in', exact: true }).click();
  await page.getByRole('link', { name: 'On to the job' }).click();
  await page.waitForURL(/\/jobs\/\d+$/);
  const job = page.url();
  await page.getByRole('link', { name: 'Money', exact: true }).click();
  await expect(page.getByText(/as soon as Find knows what it does/)).toBeVisible();
  await page.getByRole('link', { name: 'Back to the job' }).click();
  await page.getByRole('button', { name: 'No to all of them' }).click();
  await page.getByRole('button', { name: 'On to Find' }).click();
  await station(page, 'Find');
  await page.getByRole('button', { name: '+ jams when warm' }).first().click();
  await expect(page.getByText(/of\s+10\s+up\s+to/)).toBeVisible();

  // asked: the owner goes ahead, up to too little
  await page.getByRole('link', { name: 'Money', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'What it will cost' })).toBeVisible();
  await hasNoBarriers(page, 'job money');
  await agreed(page, /^Send it to the owner/, '9,50');

  // what it is turns out dearer: it stays at Find until the owner is asked again
  await page.getByRole('link', { name: 'Back to the job' }).click();
  await page.getByRole('checkbox', { name: 'It is: Heat-break fan failed' }).check();
  await page.getByRole('button', { name: /^Confirm: Heat-break fan failed/ }).click();
  await expect(page.getByText(/found dearer than its owner allowed/).first()).toBeVisible();
  await station(page, 'Find');
  await page.getByRole('link', { name: 'Money', exact: true }).click();
  await agreed(page, /^Ask again/, '400');
  await page.getByRole('link', { name: 'Back to the job' }).click();
  await page.getByRole('button', { name: 'On to Fix' }).click();
  await station(page, 'Fix');

  // mended and proved
  await page.getByRole('button', { name: 'Done so: Heat-break fan failed, a better fan' }).click();
  await expect(page.getByText('✓ mend noted')).toBeVisible();
  await page.getByRole('button', { name: 'On to Prove' }).click();
  await station(page, 'Prove');
  while (await page.getByRole('button', { name: 'On to Send out' }).isDisabled()) await proveOne(page);
  await page.getByRole('button', { name: 'On to Send out' }).click();
  await station(page, 'Send out');

  // billed, and what was told and answered stands beside it
  await page.getByRole('link', { name: 'Money', exact: true }).click();
  await page.getByRole('button', { name: 'Tell the owner it is ready…' }).click();
  await page.getByRole('button', { name: 'The owner knows' }).click();
  await expect(page.getByText(/local law decides/)).toBeVisible();
  await page.getByRole('button', { name: 'Write the bill' }).click();
  const bill = page.locator('section[aria-labelledby=charge]');
  await expect(bill.getByText('To pay')).toBeVisible();
  await expect(bill.getByRole('link', { name: 'PDF' })).toBeVisible();
  const number = (await bill.getByText(/^Bill \d+$/).innerText()).replace('Bill ', '');
  await expect(page.locator('section[aria-labelledby=messages]')).toContainText('Go ahead up to 400.00');
  const csv = await page.request.get('/files/bills.csv');
  expect(await csv.text()).toContain(`\n${number},`);

  // a reload changes nothing, and the ledger has it
  await page.reload();
  await expect(bill.getByText('To pay')).toBeVisible();
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Ledger' }).click();
  await expect(page.getByText('Heat-break fan failed').first()).toBeVisible();
  await hasNoBarriers(page, 'ledger');
  await page.goto(job);
  await expect(page.getByRole('main')).toContainText(`bill ${number}`);
});

test('a bid is bought, fails a test, is split, and its parts carry their share of the price', async ({
  page,
}) => {
  await enterAs(page, 'Ada Morrow');
  await page.goto('/buying');
  await hasNoBarriers(page, 'buying');
  await page.getByRole('link', { name: 'A machine is on offer…' }).click();
  await page.getByRole('combobox', { name: 'Family' }).selectOption({ label: 'Heron CX' });
  await page.getByRole('textbox', { name: 'Seller', exact: true }).fill('A neighbour');
  await page.getByRole('textbox', { name: 'Asked' }).fill('60');
  await page.getByRole('textbox', { name: /What the seller says/ }).fill('it jams after an hour, it clicks');
  await page.getByRole('button', { name: /^\+ / }).first().click();
  await page.getByRole('textbox', { name: 'Sells for, mended' }).fill('300 USD');
  await page.getByRole('button', { name: 'Propose the tests' }).click();
  await expect(page.getByText(/shop counts in EUR/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Sells for, mended' }).fill('300');
  await page.getByRole('textbox', { name: 'Without its feeder' }).fill('210');
  await page.getByRole('button', { name: 'Propose the tests' }).click();
  await expect(page.getByRole('textbox', { name: 'Test 3' })).toHaveValue('The same through every slot');
  await hasNoBarriers(page, 'bid sheet');
  await page.getByRole('button', { name: 'Keep the sheet' }).click();
  await expect(page.getByRole('heading', { name: 'Pay at most' })).toBeVisible();
  await expect(page.getByText(/stop when over/).first()).toBeVisible();
  await page.keyboard.press('h');
  await expect(page.getByText(/ × .* − .* = /).first()).toBeVisible();
  for (const width of [768, 1280]) {
    await page.setViewportSize({ width, height: 800 });
    await fitsAcross(page);
  }

  await page.getByRole('button', { name: 'Bought it…' }).click();
  await page.getByRole('textbox', { name: 'Paid' }).fill('190');
  await page.getByRole('button', { name: 'Bought: book it in' }).click();
  await expect(page.getByText(/The most to pay is/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Paid' }).fill('12');
  await page.getByRole('button', { name: 'Bought: book it in' }).click();
  await expect(page.getByRole('link', { name: 'its job' })).toBeVisible();
  await page.getByRole('button', { name: 'Note how it went…' }).click();
  await page.getByRole('radio', { name: 'It failed' }).click();
  await page.getByRole('textbox', { name: 'What it really took' }).fill('18,40');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText(/Failed at “Moves by hand/)).toBeVisible();

  await page.getByRole('link', { name: 'its job' }).click();
  await page.getByRole('link', { name: 'Money', exact: true }).click();
  await page.getByRole('button', { name: 'Write it off: split it…' }).click();
  await page.getByRole('textbox', { name: 'Why' }).fill('Frame bent');
  await page.getByRole('button', { name: 'Split it', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Write it off: split it…' })).toHaveCount(0);
  await page.goto('/donors');
  await expect(page.getByText(/its share of the price/).first()).toBeVisible();
});

test('the ledger, claims and what is not fetched are read by everybody who may', async ({ page }) => {
  await enterAs(page, 'Sam Okafo');
  for (const [path, heading] of [
    ['/ledger', 'The books'],
    ['/estimates', 'Estimates'],
    ['/claims', 'Claims'],
    ['/not-fetched', 'Ready and not fetched'],
    ['/prices', 'Prices and terms'],
  ] as const) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1, name: heading })).toBeVisible();
    await settled(page);
    await hasNoBarriers(page, path);
    await page.setViewportSize({ width: 768, height: 900 });
    await fitsAcross(page);
    await page.setViewportSize({ width: 1280, height: 800 });
  }
  await page.goto('/claims');
  await page.getByRole('button', { name: 'Claim something…' }).click();
  await hasNoBarriers(page, 'new claim');
  // a technician has no such drawer
  await page.getByRole('button', { name: 'Log out' }).click();
  await enterAs(page, 'Bo Lindqvist');
  await expect(page.getByRole('link', { name: 'Ledger' })).toHaveCount(0);
  await page.goto('/ledger');
  await expect(page.getByRole('alert')).toContainText('leads and the counter');
});

test('a figure of the price list that is wiped out is asked for, not taken for nothing', async ({ page }) => {
  await enterAs(page, 'Ada Morrow');
  await page.goto('/prices');
  const tax = page.getByRole('textbox', { name: 'Tax' });
  await expect(tax).not.toHaveValue('');
  const before = await tax.inputValue();
  for (const wrong of ['', 'a fifth']) {
    await tax.fill(wrong);
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText('Give a number; 0 for none.')).toBeVisible();
    await expect(tax).toHaveAttribute('aria-invalid', 'true');
  }
  await page.reload();
  await expect(tax).toHaveValue(before);
  // the same figure is kept as it is typed, with a decimal comma
  await tax.fill('19,5');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('✓ kept')).toBeVisible();
  await page.reload();
  await expect(tax).toHaveValue('19.5');
  await tax.fill(before);
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('✓ kept')).toBeVisible();
});
