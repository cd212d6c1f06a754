import { createRouter } from 'sv-router';
import Trials from '@/Diagnosis/Trials.svelte';
import LookList from '@/Fleet/LookList.svelte';
import Instruments from '@/Instruments/Instruments.svelte';
import BookIn from '@/Intake/BookIn.svelte';
import JobPage from '@/Intake/JobPage.svelte';
import Label from '@/Machines/Label.svelte';
import Machine from '@/Machines/Machine.svelte';
import Machines from '@/Machines/Machines.svelte';
import Papers from '@/Machines/Papers.svelte';
import Bench from '@/Plan/Bench.svelte';
import Guide from '@/Repair/Guide.svelte';
import Guides from '@/Repair/Guides.svelte';
import TraySheet from '@/Repair/TraySheet.svelte';
import NotHere from '@/Shop/NotHere.svelte';
import Donors from '@/Stock/Donors.svelte';
import Orders from '@/Stock/Orders.svelte';
import Part from '@/Stock/Part.svelte';
import PartLabel from '@/Stock/PartLabel.svelte';
import Shelf from '@/Stock/Shelf.svelte';
import Spools from '@/Stock/Spools.svelte';
import Stocktake from '@/Stock/Stocktake.svelte';
import Tables from '@/Stock/Tables.svelte';

export const { p, navigate, route } = createRouter({
  '/': Bench,
  '/book-in': BookIn,
  '/jobs/:id': JobPage,
  '/jobs/:id/trials': Trials,
  '/jobs/:id/tray': TraySheet,
  '/guides': Guides,
  '/guides/:code': Guide,
  '/families/:family/papers': Papers,
  '/look-lists/:id': LookList,
  '/instruments': Instruments,
  '/instruments/:name': Instruments,
  '/machines': Machines,
  '/machines/:tag': Machine,
  '/machines/:tag/label': Label,
  '/shelf': Shelf,
  '/orders': Orders,
  '/donors': Donors,
  '/spools': Spools,
  '/stocktake': Stocktake,
  '/tables': Tables,
  '/shelf/:number': Part,
  '/shelf/:number/label': PartLabel,
  '*': NotHere,
});
