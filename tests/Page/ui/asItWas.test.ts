import { QueryClient, QueryObserver } from '@tanstack/svelte-query';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { asItWas } from '@/ui/asItWas';

// what is on the screen from an earlier look is said to be old for as long as it is

let client: QueryClient;
let answer: () => Promise<string>;

beforeEach(() => {
  vi.useFakeTimers({ now: new Date('2026-12-02T10:00:00Z') });
  client = new QueryClient({ defaultOptions: { queries: { retry: 1, retryDelay: 1000, gcTime: Infinity } } });
});
afterEach(() => {
  client.clear();
  vi.useRealTimers();
});

const look = (): (() => void) =>
  new QueryObserver(client, { queryKey: ['bench'], queryFn: () => answer(), staleTime: 2000 }).subscribe(
    () => {},
  );
const says = () => asItWas(client.getQueryCache().getAll(), Date.now());

async function seenAndLeft(): Promise<void> {
  answer = () => Promise.resolve('first');
  const leave = look();
  await vi.advanceTimersByTimeAsync(10);
  leave();
}

test('what is fetched for the first time, or was just fetched, is not old', async () => {
  answer = () => new Promise((done) => setTimeout(() => done('late'), 60_000));
  look();
  await vi.advanceTimersByTimeAsync(30_000);
  expect(says()).toBeNull();
  await vi.advanceTimersByTimeAsync(40_000);
  void client.refetchQueries();
  await vi.advanceTimersByTimeAsync(100);
  expect(says(), 'ten seconds old').toBeNull();
});

test('an earlier look is old while it is fetched again, and no longer', async () => {
  await seenAndLeft();
  const then = Date.now() - 10;
  await vi.advanceTimersByTimeAsync(20_000);
  expect(says(), 'nobody looks').toBeNull();
  answer = () => new Promise((done) => setTimeout(() => done('second'), 3000));
  look();
  await vi.advanceTimersByTimeAsync(1000);
  expect(says()).toEqual({ at: then, silent: false });
  await vi.advanceTimersByTimeAsync(3000);
  expect(says()).toBeNull();
});

test('what could not be fetched stays old, and it is said', async () => {
  await seenAndLeft();
  await vi.advanceTimersByTimeAsync(20_000);
  answer = () => Promise.reject(new Error('gone'));
  look();
  await vi.advanceTimersByTimeAsync(100);
  expect(says()?.silent, 'while it is tried again').toBe(true);
  await vi.advanceTimersByTimeAsync(5000);
  expect(says()?.silent, 'and when that failed').toBe(true);
  answer = () => Promise.resolve('there again');
  await client.refetchQueries();
  expect(says()).toBeNull();
});
