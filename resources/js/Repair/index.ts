import { later } from '@/api/later';

// The doors of this room: what others may use of it.
export { default as Timers } from './Timers.svelte';
export const laterFix = later(() => import('./Fix.svelte'));
