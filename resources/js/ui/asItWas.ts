import type { Query } from '@tanstack/svelte-query';

/** What is on the screen longer than this is said to be old while it is asked for again. */
const FRESH_MS = 15_000;

export interface Old {
  /** when the oldest of it was fetched */
  at: number;
  /** it was asked for, and nothing came */
  silent: boolean;
}

/** Of what is on the screen: whether any of it is old, kept from an earlier look while it is fetched or cannot be. */
export function asItWas(queries: Query[], now: number): Old | null {
  const old = queries.filter(
    (query) =>
      query.isActive() &&
      query.state.data !== undefined &&
      now - query.state.dataUpdatedAt > FRESH_MS &&
      (query.state.fetchStatus !== 'idle' || query.state.status === 'error'),
  );
  if (old.length === 0) return null;
  return {
    at: Math.min(...old.map((query) => query.state.dataUpdatedAt)),
    silent: old.some(
      ({ state }) =>
        state.fetchStatus === 'paused' || state.fetchFailureCount > 0 || state.status === 'error',
    ),
  };
}
