// How much script and style a room brings, gzipped: what Bench needs at first, and what each other room adds to that.
import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const FIRST_KB = 100;
const ROOM_KB = 60;

const build = new URL('../../public/build/', import.meta.url);
const manifest = JSON.parse(readFileSync(new URL('manifest.json', build), 'utf8'));
const sizes = new Map();
const size = (file) => {
  if (!sizes.has(file)) sizes.set(file, gzipSync(readFileSync(new URL(file, build)), { level: 6 }).length / 1000);
  return sizes.get(file);
};

/** Every file a chunk loads before it runs. */
function files(key, seen = new Set()) {
  const chunk = manifest[key];
  if (!chunk || seen.has(chunk.file)) return seen;
  seen.add(chunk.file);
  for (const css of chunk.css ?? []) seen.add(css);
  for (const other of chunk.imports ?? []) files(other, seen);
  return seen;
}
const sum = (all) => [...all].reduce((total, file) => total + size(file), 0);

const bench = 'resources/js/Bench/Bench.svelte';
const first = files(bench, files('resources/js/main.ts'));
let failed = false;
const say = (name, kb, most) => {
  const over = kb > most;
  failed ||= over;
  console.log(`  ${name.padEnd(34)} ${kb.toFixed(1).padStart(7)} kB  (asked: ${most})${over ? '  TOO LARGE' : ''}`);
};
console.log('Script and style over the wire, gzipped:');
say('first load, Bench', sum(first), FIRST_KB);
const rooms = Object.keys(manifest)
  .filter((key) => manifest[key].isDynamicEntry && key.startsWith('resources/js/') && key !== bench)
  .map((key) => [key.slice(13, -7), sum([...files(key)].filter((file) => !first.has(file)))])
  .sort((a, b) => b[1] - a[1]);
for (const [name, kb] of rooms) say(`then ${name}`, kb, ROOM_KB);
// a job opens with its frame and one station
const job = files('resources/js/JobScreen/JobPage.svelte');
const stations = ['Diagnosis/Find', 'Repair/Fix', 'Proof/Prove', 'Safety/MakeSafe', 'Release/SendOut'];
const heaviest = Math.max(
  ...stations.map((name) => sum([...files(`resources/js/${name}.svelte`, new Set(job))].filter((file) => !first.has(file)))),
);
say('then a job with its heaviest station', heaviest, ROOM_KB);
process.exitCode = failed ? 1 : 0;
