import { QueryClient } from '@tanstack/svelte-query';
import { afterEach, expect, test, vi } from 'vitest';
import { api, Refusal } from '@/api/client';
import { jobQuery } from '@/api/queries';
import type { Job } from '@/api/types';
import { keepJob, versionNow } from '@/api/writes';
import { Work } from '@/ui/work.svelte';

// a look that was on its way when something was written comes back with what was there before

const job = (version: number, station: string): Job => ({ id: 7, version, station }) as Job;
const answers = (answer: Promise<Job>): void => {
  vi.spyOn(api, 'GET').mockImplementation((async () => ({
    data: await answer,
    response: new Response(null, { status: 200 }),
  })) as unknown as typeof api.GET);
};

afterEach(() => vi.restoreAllMocks());

test('an older look does not put a job back to where it stood', async () => {
  const client = new QueryClient();
  let arrive: (job: Job) => void = () => {};
  answers(new Promise((done) => (arrive = done)));
  const looking = client.fetchQuery(jobQuery(7));
  keepJob(client, job(5, 'repair'));
  arrive(job(4, 'diagnosis'));
  await looking;
  expect(client.getQueryData(['job', 7])).toEqual(job(5, 'repair'));
});

test('a look that knows as much or more is shown', async () => {
  const client = new QueryClient();
  keepJob(client, job(5, 'repair'));
  answers(Promise.resolve(job(5, 'proof')));
  await client.fetchQuery({ ...jobQuery(7), staleTime: 0 });
  expect(client.getQueryData<Job>(['job', 7])?.station).toBe('proof');
  answers(Promise.resolve(job(6, 'release')));
  await client.fetchQuery({ ...jobQuery(7), staleTime: 0 });
  expect(client.getQueryData<Job>(['job', 7])?.version).toBe(6);
});

test('what is confirmed waits for the finding that was noted just before, and goes with its version', async () => {
  const client = new QueryClient();
  client.setQueryData(['job', 7], job(4, 'diagnosis'));
  const found = new Work();
  let arrive: () => void = () => {};
  void found.do(async () => {
    await new Promise<void>((done) => (arrive = done));
    keepJob(client, job(5, 'diagnosis'));
  });
  const confirming = found.settled().then((taken) => [taken, versionNow(client, job(4, 'diagnosis'))]);
  arrive();
  expect(await confirming).toEqual([true, 5]);
});

test('what is confirmed on a finding that was refused does not go', async () => {
  const found = new Work();
  void found.do(() => Promise.reject(new Refusal(409, 'stale', [])));
  expect(await found.settled()).toBe(false);
  expect(await new Work().settled()).toBe(true);
});
