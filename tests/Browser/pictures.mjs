// npm run pictures: every picture of docs/screenshots, anew from the demo shop of the running site. Each is then opened and looked at.
import { chromium } from '@playwright/test';
import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const site = process.env.ODD_BENCH_URL ?? 'http://localhost:8420';
const folder = fileURLToPath(new URL('../../docs/screenshots/', import.meta.url));
const only = process.argv.slice(2);

const browser = await chromium.launch({
  executablePath:
    process.env.CHROMIUM ??
    (existsSync('/usr/bin/chromium') ? '/usr/bin/chromium' : '/usr/bin/chromium-headless-shell'),
  args: ['--no-sandbox', '--disable-gpu'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(site);
await page.getByRole('button', { name: 'Bo Lindqvist' }).click();
await page.getByRole('navigation', { name: 'Places' }).waitFor();

const api = (path) => page.evaluate(async (at) => (await fetch(`/api/v1${at}`)).json(), path);
const bench = await api('/bench');
const lines = bench.groups.flatMap((group) => group.lines);
const at = (station) => lines.filter((line) => line.station === station);
const jobs = async (station) => Promise.all(at(station).map((line) => api(`/jobs/${line.job}`)));
const machines = (await api('/machines?place=sale')).machines;
const served = (await api('/machines?place=owner')).machines;
const ownersPage = async (list) => `/o/${(await api(`/machines/${list[0].tag}`)).ownersPage.split('/o/')[1]}`;

/** The job that shows most of something. */
const most = (list, count) => [...list].sort((a, b) => count(b) - count(a))[0];
const finding = most(await jobs('diagnosis'), (job) => job.findings.length);
const fixing = [];
for (const job of await jobs('repair')) fixing.push({ ...job, fix: await api(`/jobs/${job.id}/fix`) });
const tray = most(fixing, (job) => job.fix.steps.length);
const proving = most(
  await jobs('proof'),
  (job) => job.proofs.filter((proof) => proof.standing === 'passed').length,
);
const campaigns = (await api('/campaigns')).campaigns;
const orders = await api('/orders');

/** An instrument read with what its form starts with. */
const read = async () => {
  await page.getByRole('button', { name: 'Work it out' }).click();
  await page.waitForLoadState('networkidle');
};

/** A hot end that comes up to 210 °C, goes a little over and holds. */
const heatUp = ['time_s,actual_c,target_c,power'];
for (let t = 0; t <= 420; t += 2) {
  const gone = Math.max(0, t - 20);
  const over = 2.4 * Math.exp(-(((gone - 150) / 40) ** 2));
  const actual = 22 + 188 * (1 - Math.exp(-gone / 32)) + over + 0.15 * Math.sin(t);
  heatUp.push(`${t},${actual.toFixed(2)},${t < 20 ? 0 : 210},${gone > 0 && actual < 208 ? 1 : 0.35}`);
}
const readLog = async () => {
  const log = { name: 'heat-up.csv', mimeType: 'text/csv', buffer: Buffer.from(heatUp.join('\n')) };
  await page.locator('input[type=file]').setInputFiles(log);
  await read();
};

const pictures = {
  bench: ['/'],
  today: ['/today'],
  'hand-over': ['/hand-over'],
  find: [`/jobs/${finding.id}`],
  farm: ['/farm'],
  campaign: [`/campaigns/${campaigns[0]?.id}`],
  'instrument-bed': ['/instruments/bed-plane', read],
  'instrument-log': ['/instruments/thermal-log', readLog],
  fix: [`/jobs/${tray.id}`],
  prove: [`/jobs/${proving.id}`],
  'condition-sheet': [await ownersPage(machines)],
  'owners-page': [await ownersPage(served)],
  machine: [`/machines/${finding.machine.tag}`],
  shelf: ['/shelf'],
  part: [`/shelf/${orders.proposals[0]?.lines[0]?.part ?? 'LIN-42'}`],
  orders: ['/orders'],
};
const take = async (name, [address, press]) => {
  if (only.length > 0 && !only.includes(name)) return;
  await page.goto(site + address);
  await page.waitForLoadState('networkidle');
  await page.evaluate(() => document.fonts.ready);
  if (press) {
    await press();
    await page.waitForTimeout(400);
  }
  await page.screenshot({ path: `${folder}${name}.png` });
  console.log(`${name}.png  ${address}`);
};
for (const [name, one] of Object.entries(pictures)) await take(name, one);

// what costs and brings is a lead's to see
await page.goto(site);
await page.getByRole('button', { name: 'Log out' }).click();
await page.getByRole('button', { name: 'Ada Morrow' }).click();
await page.getByRole('navigation', { name: 'Places' }).waitFor();
const offers = (await api('/money/offers')).offers;
const year = () => page.getByRole('button', { name: 'This year' }).click();
await take('estimate', [`/jobs/${finding.id}/money`]);
await take('bid', [`/buying/${offers.find((offer) => offer.state === 'open')?.id}`]);
await take('ledger', ['/ledger', year]);
await browser.close();
