import type { QueryClient } from '@tanstack/svelte-query';
import { api, told } from '@/api/client';
import { keepJob } from '@/api/writes';
import type { Job, Station } from '@/api/types';

/** Moves a job to a station; the server says what stands in the way. */
export async function moveJob(client: QueryClient, job: Job, to: Station, why?: string): Promise<void> {
  const body = { to, version: job.version, why: why ?? null };
  keepJob(client, await told(api.POST('/jobs/{job}/station', { params: { path: { job: job.id } }, body })));
}

export function obstacles(job: Job, to: Station): string[] {
  return job.stations.find((station) => station.code === to)?.obstacles ?? [];
}
