import './fonts.css';
import { mount } from 'svelte';
import App from './App.svelte';
import { later } from './api/later';
import './app.css';

const target = document.getElementById('page');
if (target) mount(App, { target });

// a room whose script does not come: the page says so and comes back to that room with the server
window.addEventListener('vite:preloadError', (failed) => {
  failed.preventDefault();
  void later(() => Promise.reject(new Error('not there')))();
});

// once the bench stands, what a job needs is fetched while nobody waits: it is there when the network is not
setTimeout(() => {
  void import('./JobScreen/JobPage.svelte');
  void import('./Safety/MakeSafe.svelte');
  void import('./Diagnosis/Find.svelte');
  void import('./Repair/Fix.svelte');
  void import('./Proof/Prove.svelte');
  void import('./Release/SendOut.svelte');
}, 5000);
