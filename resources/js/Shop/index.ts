// The doors of this room: what others may use of it.
export { default as Room } from './Room.svelte';
export { default as Signature } from './Signature.svelte';
export { Signs } from './signs.svelte';
