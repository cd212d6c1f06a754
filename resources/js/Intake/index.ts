// The doors of this room: what others may use of it.
export { default as StationRuler } from './StationRuler.svelte';
export { default as HandsAndWaiting } from './HandsAndWaiting.svelte';
export { default as BookedIn } from './BookedIn.svelte';
export { default as GoesBack } from './GoesBack.svelte';
