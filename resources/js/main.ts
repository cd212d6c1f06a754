import './fonts.css';
import { mount } from 'svelte';
import App from './App.svelte';
import { later } from './api/later';
import './app.css';

const target = document.getElementById('page');
if (target) mount(App, { target });

// a room whose script does not come: the page says so and comes back to that room with the server
let ahead = false;
window.addEventListener('vite:preloadError', (failed) => {
  if (ahead) return;
  failed.preventDefault();
  void later(() => Promise.reject(new Error('not there')))();
});

/**
 * Once the bench stands, what a job needs is fetched while nobody waits: it is there when the network is not. Nobody asked for
 * it, so when it does not come nothing is said and it is tried again.
 */
async function fetchAhead(): Promise<void> {
  ahead = true;
  const got = await Promise.allSettled([
    import('./JobScreen/JobPage.svelte'),
    import('./Safety/MakeSafe.svelte'),
    import('./Diagnosis/Find.svelte'),
    import('./Repair/Fix.svelte'),
    import('./Proof/Prove.svelte'),
    import('./Release/SendOut.svelte'),
  ]);
  ahead = false;
  if (got.some((one) => one.status === 'rejected')) setTimeout(() => void fetchAhead(), 30_000);
}
setTimeout(() => void fetchAhead(), 5000);
