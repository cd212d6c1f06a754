import { getContext, setContext } from 'svelte';
import type { Knowledge, Person, Session } from '@/api/types';

const KEY = Symbol('here');

/** Who is here, and the words of the trade: there as soon as anything is shown. */
export class Here {
  session = $state<Session | null>(null);
  knowledge = $state<Knowledge | null>(null);

  get person(): Person {
    if (!this.session?.person) throw new Error('Nobody is logged in.');
    return this.session.person;
  }

  get words(): Knowledge {
    if (!this.knowledge) throw new Error('The knowledge is not there yet.');
    return this.knowledge;
  }

  get zone(): string {
    return this.session?.zone ?? 'UTC';
  }

  get currency(): string {
    return this.session?.currency ?? 'EUR';
  }
}

export const provideHere = (here: Here): Here => setContext(KEY, here);
export const here = (): Here => getContext<Here>(KEY);
