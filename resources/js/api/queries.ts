import type { QueryFunctionContext } from '@tanstack/svelte-query';
import { api, told } from './client';
import type { Fix, Job, ProofRun } from './types';

const LIVE = 5000;

export const knowledgeQuery = () => ({
  queryKey: ['knowledge'],
  queryFn: () => told(api.GET('/knowledge')),
  staleTime: 10 * 60_000,
});

export const benchQuery = () => ({
  queryKey: ['bench'],
  queryFn: () => told(api.GET('/bench')),
  refetchInterval: LIVE,
});

export const todayQuery = () => ({
  queryKey: ['today'],
  queryFn: () => told(api.GET('/plan/today')),
  refetchInterval: LIVE,
});

export const jobQuery = (id: number) => ({
  queryKey: ['job', id],
  queryFn: async ({ client }: QueryFunctionContext): Promise<Job> => {
    const asked = await told(api.GET('/jobs/{job}', { params: { path: { job: id } } }));
    // a write that was answered meanwhile knows more than what was asked before it
    const kept = client.getQueryData<Job>(['job', id]);
    return kept && kept.version > asked.version ? kept : asked;
  },
  refetchInterval: LIVE,
});

export type School = 'measure-first' | 'swap-first';

export const diagnosisQuery = (job: Job, school: School) => ({
  queryKey: ['diagnosis', job.id, job.version, school],
  queryFn: () =>
    told(api.GET('/jobs/{job}/diagnosis', { params: { path: { job: job.id }, query: { school } } })),
  staleTime: 60_000,
});

export const fixQuery = (job: Pick<Job, 'id' | 'version'>) => ({
  queryKey: ['fix', job.id, job.version],
  queryFn: () => told(api.GET('/jobs/{job}/fix', { params: { path: { job: job.id } } })),
  placeholderData: (previous: Fix | undefined) => previous,
  staleTime: 60_000,
});

const UNDER_WAY = new Set(['waiting', 'running', 'asking']);

/** Once a second while something runs. */
export const runQuery = (job: number) => ({
  queryKey: ['proof-run', job],
  queryFn: () => told(api.GET('/jobs/{job}/proof-run', { params: { path: { job } } })),
  refetchInterval: (query: { state: { data?: ProofRun | undefined } }) =>
    UNDER_WAY.has(query.state.data?.state ?? 'none') ? 1000 : LIVE,
});

export const ordersQuery = () => ({
  queryKey: ['orders'],
  queryFn: () => told(api.GET('/orders')),
  staleTime: 10_000,
});

export const guidesQuery = () => ({
  queryKey: ['guides'],
  queryFn: () => told(api.GET('/guides')),
  staleTime: 60_000,
});

export const guideQuery = (code: string) => ({
  queryKey: ['guide', code],
  queryFn: () => told(api.GET('/guides/{code}', { params: { path: { code } } })),
  staleTime: 60_000,
});

export const papersQuery = (family: string) => ({
  queryKey: ['papers', family],
  queryFn: () => told(api.GET('/families/{family}/papers', { params: { path: { family } } })),
});

export const trialsQuery = (job: number) => ({
  queryKey: ['trials', job],
  queryFn: () => told(api.GET('/jobs/{job}/trials', { params: { path: { job } } })),
});

export const campaignQuery = (campaign: number) => ({
  queryKey: ['campaign', campaign],
  queryFn: () => told(api.GET('/campaigns/{campaign}', { params: { path: { campaign } } })),
  refetchInterval: LIVE,
});

export type Weeks = 1 | 2 | 4 | 8;

export const farmQuery = (weeks: Weeks, heldAs: 'farm' | 'owner' | 'resale') => ({
  queryKey: ['farm', weeks, heldAs],
  queryFn: () => told(api.GET('/fleet/farm', { params: { query: { weeks, heldAs } } })),
  refetchInterval: 60_000,
});

export const risksQuery = (weeks: Weeks, family: string, after?: string) => ({
  queryKey: ['risks', weeks, family, after],
  queryFn: () =>
    told(
      api.GET('/fleet/risks', {
        params: { query: { weeks, ...(family ? { family } : {}), ...(after ? { after } : {}) } },
      }),
    ),
});

export const holdQuery = () => ({
  queryKey: ['hold'],
  queryFn: () => told(api.GET('/fleet/hold')),
  staleTime: 60_000,
});

export const livesQuery = () => ({
  queryKey: ['lives'],
  queryFn: () => told(api.GET('/fleet/lives')),
  staleTime: 60_000,
});

export const campaignsQuery = () => ({
  queryKey: ['campaigns'],
  queryFn: () => told(api.GET('/campaigns')),
});

export const sheetsQuery = () => ({
  queryKey: ['instruments'],
  queryFn: () => told(api.GET('/instruments')),
  staleTime: 10 * 60_000,
});

export const comparedQuery = (job: number, name: string, position: string) => ({
  queryKey: ['compared', job, name, position],
  queryFn: () =>
    told(
      api.GET('/jobs/{job}/instruments/{name}', {
        params: { path: { job, name }, query: position ? { position } : {} },
      }),
    ),
});

export const machineQuery = (tag: string, olderThan?: number) => ({
  queryKey: ['machine', tag, olderThan],
  queryFn: () =>
    told(api.GET('/machines/{tag}', { params: { path: { tag }, query: olderThan ? { olderThan } : {} } })),
});

export const partQuery = (number: string) => ({
  queryKey: ['part', number],
  queryFn: () => told(api.GET('/parts/{number}', { params: { path: { number } } })),
});

export const donorsQuery = () => ({
  queryKey: ['donors'],
  queryFn: () => told(api.GET('/donors')),
});

export const spoolsQuery = () => ({
  queryKey: ['spools'],
  queryFn: () => told(api.GET('/spools')),
});

export const stocktakesQuery = () => ({
  queryKey: ['stocktakes'],
  queryFn: () => told(api.GET('/stocktakes')),
  refetchInterval: LIVE,
});

export const stockFilesQuery = () => ({
  queryKey: ['stock-files'],
  queryFn: () => told(api.GET('/stock-files')),
});

export const jobMoneyQuery = (job: number) => ({
  queryKey: ['job-money', job],
  queryFn: () => told(api.GET('/jobs/{job}/money', { params: { path: { job } } })),
  staleTime: 10_000,
});

export const offersQuery = () => ({
  queryKey: ['offers'],
  queryFn: () => told(api.GET('/money/offers')),
});

export const offerQuery = (offer: number) => ({
  queryKey: ['offer', offer],
  queryFn: () => told(api.GET('/money/offers/{offer}', { params: { path: { offer } } })),
});

export const claimsQuery = () => ({
  queryKey: ['claims'],
  queryFn: () => told(api.GET('/money/claims')),
});

export const notFetchedQuery = () => ({
  queryKey: ['not-fetched'],
  queryFn: () => told(api.GET('/money/not-fetched')),
});

export const estimatesQuery = () => ({
  queryKey: ['estimates'],
  queryFn: () => told(api.GET('/money/estimates')),
});
