import { connection } from './connection.svelte';

const AGAIN_MS = 1500;

/**
 * Script that comes when it is needed. While the server is away it is asked for again and the page says so; when the server is
 * there and the script is not, the page is of an older release and is loaded anew, but never over a write that still waits.
 */
export const later =
  <T>(get: () => Promise<T>) =>
  async (): Promise<T> => {
    for (;;) {
      try {
        const script = await get();
        connection.found();
        return script;
      } catch {
        const answer = await fetch('/health', { cache: 'no-store' }).catch(() => null);
        if (answer?.ok && connection.writing === 0) location.reload();
        connection.lose();
        await new Promise((resume) => setTimeout(resume, AGAIN_MS));
      }
    }
  };
