// The doors of this room: what others may use of it.
export { default as SistersOffer } from './SistersOffer.svelte';
export { default as OwedLooks } from './OwedLooks.svelte';
export { default as FleetPlaces } from './FleetPlaces.svelte';
