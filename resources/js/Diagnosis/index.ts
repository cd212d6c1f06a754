import { later } from '@/api/later';

// The doors of this room: what others may use of it.
export { default as ComplaintReader } from './ComplaintReader.svelte';
export const laterFind = later(() => import('./Find.svelte'));
