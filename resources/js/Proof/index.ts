import { later } from '@/api/later';

// The doors of this room: what others may use of it.
export { default as HeatAlarm } from './HeatAlarm.svelte';
export const laterProve = later(() => import('./Prove.svelte'));
