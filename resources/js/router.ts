import { createRouter } from 'sv-router';

// each room’s script comes when the room is opened
export const { p, navigate, route } = createRouter({
  '/': () => import('@/Bench/Bench.svelte'),
  '/book-in': () => import('@/Intake/BookIn.svelte'),
  '/jobs/:id': () => import('@/JobScreen/JobPage.svelte'),
  '/jobs/:id/trials': () => import('@/Diagnosis/Trials.svelte'),
  '/jobs/:id/tray': () => import('@/Repair/TraySheet.svelte'),
  '/guides': () => import('@/Repair/Guides.svelte'),
  '/guides/:code': () => import('@/Repair/Guide.svelte'),
  '/families/:family/papers': () => import('@/Machines/Papers.svelte'),
  '/look-lists/:id': () => import('@/Fleet/LookList.svelte'),
  '/instruments': () => import('@/Instruments/Instruments.svelte'),
  '/instruments/:name': () => import('@/Instruments/Instruments.svelte'),
  '/machines': () => import('@/Machines/Machines.svelte'),
  '/counters': () => import('@/Machines/Counters.svelte'),
  '/machines/:tag': () => import('@/Machines/Machine.svelte'),
  '/machines/:tag/label': () => import('@/Machines/Label.svelte'),
  '/shelf': () => import('@/Stock/Shelf.svelte'),
  '/orders': () => import('@/Stock/Orders.svelte'),
  '/donors': () => import('@/Stock/Donors.svelte'),
  '/spools': () => import('@/Stock/Spools.svelte'),
  '/stocktake': () => import('@/Stock/Stocktake.svelte'),
  '/tables': () => import('@/Stock/Tables.svelte'),
  '/shelf/:number': () => import('@/Stock/Part.svelte'),
  '/shelf/:number/label': () => import('@/Stock/PartLabel.svelte'),
  '*': () => import('@/Shop/NotHere.svelte'),
});
