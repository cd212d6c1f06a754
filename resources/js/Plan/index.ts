// The doors of this room: what others may use of it.
export { default as BenchPlaces } from './BenchPlaces.svelte';
export { default as PromiseOffer } from './PromiseOffer.svelte';
export { default as PromiseOfJob } from './PromiseOfJob.svelte';
export { default as PlanWarnings } from './Warnings.svelte';
