import { expect, test, type Page } from '@playwright/test';
import { Buffer } from 'node:buffer';
import { hasNoBarriers, station } from '../Browser/shop';

/** docs/how-to/OPEN.md, step by step, on an empty shop that stands on its network by HTTPS. */
const PASSWORD = 'kettle drum fox lantern';
const BOS = 'seven grey herons walk';
const ADAS_PIN = '771204';
const BOS_PIN = '280417';

const trust = process.env['TRUST_URL'] ?? '';

async function setPin(page: Page, password: string, pin: string): Promise<void> {
  await page.getByRole('button', { name: 'Password, PIN' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Your password', { exact: true }).fill(password);
  await dialog.getByLabel('PIN', { exact: true }).fill(pin);
  await dialog.getByRole('button', { name: 'Set the PIN' }).click();
  await expect(dialog.getByText('✓ set')).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();
}

test('a shop opens, three people share a tablet, and the first customer’s printer goes home', async ({
  page,
  browser,
  request,
}) => {
  test.setTimeout(240_000);

  // 1. the tablet gets the certificate by HTTP, and is sent to HTTPS from anywhere else
  const certificate = await request.get(`${trust}/shop-authority.crt`);
  expect(certificate.headers()['content-type']).toBe('application/x-x509-ca-cert');
  expect((await (await request.get(trust)).text()).toLowerCase()).toContain('get the certificate');
  const sent = await request.get(`${trust}/machines`, { maxRedirects: 0 });
  expect(sent.headers()['location']).toMatch(/^https:/);

  // 2. the first visit
  const first = await page.goto('/');
  expect(first?.headers()['strict-transport-security']).toContain('max-age=');
  await page.getByLabel('Its name').fill('Quay Street Repairs');
  await page.getByLabel('Your name').fill('Ada Morrow');
  await page.getByLabel('Login').fill('ada');
  await page.getByLabel('Password').fill('aaaaaaaaaaaa');
  await page.getByRole('button', { name: 'Open the shop' }).click();
  await expect(page.getByText(/repeats itself/)).toBeVisible();
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Open the shop' }).click();
  await expect(page.getByRole('heading', { name: 'The bench is clear' })).toBeVisible();
  const cookies = await page.context().cookies();
  expect(cookies.filter((one) => !one.secure).map((one) => one.name)).toEqual([]);
  await setPin(page, PASSWORD, ADAS_PIN);

  // 3. settings, 4. people
  await page.getByRole('link', { name: 'Shop', exact: true }).click();
  await page.getByRole('textbox', { name: 'A shared tablet locks' }).fill('20');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('✓ kept')).toBeVisible();
  await expect(page.getByRole('img', { name: `Code of ${trust}` })).toBeVisible();
  await hasNoBarriers(page, 'shop');
  const shopPage = page.url();
  await page.goto('/prices');
  await page.getByLabel('A minute of hands is charged at').fill('1,20');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('✓ kept')).toBeVisible();
  await page.goto(shopPage);
  await page.getByRole('button', { name: 'Add somebody' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Bo Lindqvist');
  await page.getByLabel('Login').fill('bo');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  const code = (await page.locator('.tracking-widest').innerText()).trim();

  // 5. Bo sets a password with the code on the shared tablet, and a PIN
  const shared = await browser.newContext({
    ignoreHTTPSErrors: true,
    viewport: { width: 1024, height: 768 },
  });
  const tablet = await shared.newPage();
  await tablet.goto('/');
  await tablet.getByRole('button', { name: 'I have a code' }).click();
  await tablet.getByLabel('Login').fill('bo');
  await tablet.getByLabel('Code').fill(code);
  await tablet.getByLabel('New password').fill(BOS);
  await tablet.getByRole('button', { name: 'Set it and go in' }).click();
  await expect(tablet.getByRole('heading', { name: 'The bench is clear' })).toBeVisible();
  await setPin(tablet, BOS, BOS_PIN);
  await tablet.getByRole('button', { name: 'Log out' }).first().click();
  await tablet.getByLabel('Login').fill('bo');
  await tablet.getByLabel('Password').fill(BOS);
  await tablet.getByText('Others use this device too').click();
  await tablet.getByRole('button', { name: 'Log in' }).click();
  await expect(tablet.getByRole('button', { name: /Bo · change/ })).toBeVisible();

  // 6. machines: a table, each row’s fate first
  await page.goto('/machines-in');
  const rows = [
    'family,serial,held_as,hours',
    'tern-220,A1,farm,310',
    'tern-220,A1,farm,20',
    'nobody-300,B1,farm,',
  ];
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'machines.csv', mimeType: 'text/csv', buffer: Buffer.from(rows.join('\n')) });
  await expect(page.getByText('There is no family “nobody-300”')).toBeVisible();
  await page.getByRole('button', { name: 'Bring the 1 in' }).click();
  await expect(page.getByText(/1 of 3 machines are known now/)).toBeVisible();

  // 7. the first customer’s printer, at the counter on the tablet
  await tablet
    .getByRole('link', { name: /^Book in/ })
    .last()
    .click();
  await tablet.getByRole('radio', { name: 'New here' }).click();
  await tablet.getByRole('radio', { name: 'Tern 220', exact: true }).click();
  await tablet.getByLabel('Serial').fill('C-77');
  await tablet.getByLabel('Serial').press('Enter');
  await expect(tablet.getByRole('heading', { name: 'Book in' })).toBeVisible();
  await tablet.getByLabel('Owner’s name').fill('Greta Vance');
  await tablet.getByLabel('How to reach them').fill('0170 1');
  await tablet.getByRole('textbox', { name: /Complaint/ }).fill('prints slip, the belt hangs');
  await tablet.getByRole('radio', { name: 'Crept in' }).click();
  await tablet.getByText('Mains cord').click();
  await tablet.getByRole('button', { name: 'Book in', exact: true }).click();
  await expect(tablet.getByRole('heading', { name: /^Label for TR-/ })).toBeVisible();
  await tablet.getByRole('link', { name: 'On to the job' }).click();
  await station(tablet, 'Make safe');
  const job = tablet.url();

  // 8. a red tag comes off with two signatures on the same tablet, each by PIN
  await tablet
    .getByRole('group', { name: /browned or melted/ })
    .getByRole('button', { name: 'Yes' })
    .click();
  await tablet.getByRole('button', { name: /^No to the other/ }).click();
  await tablet.getByRole('button', { name: 'Ask to take it off' }).click();
  await tablet.getByLabel(/The cause/).fill('It was soot from a candle, wiped off');
  await tablet.getByLabel(/The measurement/).fill('0.04 Ω across the plug');
  await tablet.getByLabel('PIN', { exact: true }).fill('111213');
  await tablet.getByRole('button', { name: 'Sign first' }).click();
  await expect(tablet.getByText(/This is not the PIN/)).toBeVisible();
  await tablet.getByLabel('PIN', { exact: true }).fill(BOS_PIN);
  await tablet.getByRole('button', { name: 'Sign first' }).click();
  await tablet.getByRole('button', { name: 'A lead signs second' }).click();
  await expect(tablet.getByLabel('Who signs')).toHaveValue(/\d+/);
  await tablet.getByLabel('PIN', { exact: true }).fill(ADAS_PIN);
  await hasNoBarriers(tablet, 'second signature');
  await tablet.getByRole('button', { name: 'Sign second: take it off' }).click();
  await expect(tablet.getByText('Red tag: unplugged, no power.')).toBeHidden();

  // 9. it goes back, with its cord and not without
  await tablet.goto(job);
  await tablet
    .getByRole('link', { name: 'Send out' })
    .or(tablet.getByRole('button', { name: 'Send out' }))
    .first()
    .click();
  await expect(tablet.getByText('Mains cord in, not out.').first()).toBeVisible();
  await tablet.getByRole('radio', { name: /unmended/ }).click();
  await tablet.getByRole('checkbox', { name: 'Mains cord' }).check();
  await expect(tablet.getByText('Mains cord in, not out.')).toHaveCount(0);
  await tablet.getByLabel('PIN', { exact: true }).fill(BOS_PIN);
  await tablet.getByRole('button', { name: /^Sign: back/i }).click();
  await expect(tablet.getByText(/^✓ Finished/)).toBeVisible();

  // 10. the tablet goes to Ada by her PIN, and she reads who did what
  await tablet.getByRole('button', { name: /Bo · change/ }).click();
  await tablet.getByRole('button', { name: 'Ada Morrow' }).click();
  await tablet.keyboard.type(ADAS_PIN);
  await expect(tablet.getByRole('button', { name: /Ada · change/ })).toBeVisible();
  await tablet.goto('/security');
  await expect(tablet.getByText('signed a red tag off').first()).toBeVisible();
  await expect(tablet.getByText('refused: signed first for a red tag to come off')).toBeVisible();
  await tablet.goto('/owners');
  await tablet.getByRole('link', { name: /Greta Vance/ }).click();
  await expect(tablet.getByText('Back to its owner unmended')).toBeVisible();
  await shared.close();
});
