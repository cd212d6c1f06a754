import { later } from '@/api/later';

// The doors of this room: what others may use of it.
export const laterSendOut = later(() => import('./SendOut.svelte'));
