import { later } from '@/api/later';

// The doors of this room: what others may use of it.
export { default as RedTagPanel } from './RedTagPanel.svelte';
export const laterMakeSafe = later(() => import('./MakeSafe.svelte'));
