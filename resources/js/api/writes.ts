import { hashKey, type QueryClient, type QueryKey } from '@tanstack/svelte-query';
import type { School } from './queries';
import type { Find, Job } from './types';

/** What each kind of write makes stale: screens that show it are asked for again. The one map for all of them. */
const STALE = {
  job: [
    'bench',
    'machine',
    'part',
    'parts',
    'machines',
    'campaigns',
    'campaign',
    'guides',
    'guide',
    'job-money',
    'offer',
    'not-fetched',
    'farm',
    'risks',
    'hold',
    'lives',
  ],
  find: ['bench', 'machine', 'machines', 'campaigns', 'campaign', 'job-money', 'offer'],
  reading: ['job', 'diagnosis', 'compared', 'bench', 'machine', 'job-money', 'offer'],
  trial: ['job', 'trials'],
  run: ['job'],
  money: ['job', 'bench', 'estimates', 'not-fetched', 'ledger', 'offer', 'machine'],
  offer: ['offers', 'ledger'],
  claim: ['job', 'bench', 'machine'],
  machine: ['machine', 'machines', 'owners', 'owner', 'labels', 'farm', 'risks'],
  papers: ['papers'],
  looks: ['campaign', 'campaigns', 'bench'],
  racks: ['farm', 'campaign', 'risks'],
  planned: ['bench', 'machine', 'machines', 'farm', 'risks', 'parts', 'part', 'orders'],
  stock: ['parts', 'part', 'orders', 'spools', 'donors'],
  stocktake: ['stocktakes', 'parts', 'part', 'orders'],
  count: ['stocktakes'],
  table: ['stock-files', 'parts', 'part', 'orders'],
} as const satisfies Record<string, readonly string[]>;

export type Write = keyof typeof STALE;

/** After a write: its answer is shown where it belongs, and what else it makes stale is asked for again. */
export function wrote(client: QueryClient, what: Write, at?: QueryKey, answer?: unknown): void {
  if (at) client.setQueryData(at, answer);
  const kept = at && hashKey(at);
  for (const key of STALE[what]) {
    void client.invalidateQueries({ queryKey: [key], predicate: (query) => query.queryHash !== kept });
  }
}

/** The version of a job as the last answer gave it, which a screen draws a moment later. */
export const versionNow = (client: QueryClient, job: Pick<Job, 'id' | 'version'>): number =>
  client.getQueryData<Job>(['job', job.id])?.version ?? job.version;

/** A write answered with the job as it stands now. */
export const keepJob = (client: QueryClient, job: Job): void => wrote(client, 'job', ['job', job.id], job);

/**
 * A write of Find answered with all that moved: the job and the ranking are shown at once, and nothing is asked twice. A red
 * tag that went on changes where the job may go, so then the whole job is asked for.
 */
export function keepFind(client: QueryClient, find: Find, school: School): void {
  const { diagnosis, ...moved } = find;
  const before = client.getQueryData<Job>(['job', find.id]);
  if (diagnosis) client.setQueryData(['diagnosis', find.id, find.version, school], diagnosis);
  wrote(client, 'find', ['job', find.id], before && { ...before, ...moved });
  if (!before || before.redTag?.id !== find.redTag?.id || before.campaigns.length > 0)
    void client.invalidateQueries({ queryKey: ['job', find.id] });
}
