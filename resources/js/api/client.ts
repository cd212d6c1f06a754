import createClient from 'openapi-fetch';
import { connection } from './connection.svelte';
import type { components, paths } from './schema';
import { touch } from './touch';

type Problem = components['schemas']['Problem'];

/** A refusal of the server: what is wrong, with which field, what to do. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly errors: { field: string; message: string }[],
  ) {
    super(message);
  }

  for(field: string): string | undefined {
    return this.errors.find((error) => error.field === field || error.field.startsWith(`${field}.`))?.message;
  }
}

/** A refusal of the page itself, before anything is sent. */
export const wrong = (field: string, message: string): Refusal =>
  new Refusal(422, message, [{ field, message }]);

function token(): string {
  const cookie = document.cookie.split('; ').find((part) => part.startsWith('XSRF-TOKEN='));
  return cookie ? decodeURIComponent(cookie.slice(11)) : '';
}

/** Randomly made, also where the page is not on HTTPS. */
function uuid(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
}

/** The web server is there and what stands behind it is not: nobody knows whether the write was done. */
const AWAY = [502, 503, 504];

const why = async (response: Response): Promise<string> => {
  try {
    const problem = (await response.clone().json()) as Partial<Problem>;
    return problem.detail ?? 'The server is busy.';
  } catch {
    return 'The server is busy.';
  }
};

/**
 * Sends a write until it has arrived and was answered; the key lets the server tell a retry from a second write, so that one
 * that was done before its answer was lost is not done again.
 */
async function stubbornly(request: Request): Promise<Response> {
  if (request.method === 'GET') {
    if (touch.rests) request.headers.set('X-By-Itself', '1');
    return asOfNow(request);
  }
  connection.writing++;
  try {
    return await untilAnswered(request);
  } finally {
    connection.writing--;
    connection.written++;
  }
}

/** A look that was under way while a write was answered may have seen what was before it: it is asked again. */
async function asOfNow(request: Request): Promise<Response> {
  for (let left = 3; ; left--) {
    const written = connection.written;
    const response = await fetch(request);
    if (left === 0 || written === connection.written) return response;
    // a body nobody reads would hold its connection open
    await response.body?.cancel().catch(() => undefined);
  }
}

/** So many milliseconds from now, or when the network is back if that is sooner. */
const soon = (wait: number): Promise<void> =>
  new Promise((resume) => {
    const go = () => {
      clearTimeout(timer);
      removeEventListener('online', go);
      resume();
    };
    const timer = setTimeout(go, wait);
    addEventListener('online', go);
  });

async function untilAnswered(request: Request): Promise<Response> {
  const headers = new Headers(request.headers);
  headers.set('Idempotency-Key', uuid());
  headers.set('X-XSRF-TOKEN', token());
  const body = await request.arrayBuffer();
  for (let wait = 800; ; wait = Math.min(wait * 1.6, 5000)) {
    try {
      const response = await fetch(request.url, {
        method: request.method,
        headers,
        body: body.byteLength === 0 ? null : body,
        credentials: 'same-origin',
      });
      if (!AWAY.includes(response.status)) {
        connection.found();
        return response;
      }
      connection.lose(await why(response));
    } catch {
      connection.lose();
    }
    await soon(wait);
  }
}

export const api = createClient<paths>({
  baseUrl: '/api/v1',
  headers: { Accept: 'application/json' },
  cache: 'no-cache',
  fetch: stubbornly,
});

/** The data of an answer, or a Refusal. */
export async function told<T>(
  call: Promise<{ data?: T; error?: Problem | undefined; response: Response }>,
): Promise<T> {
  const { data, error, response } = await call;
  if (data !== undefined && response.ok) return data;
  const detail = error?.detail ?? `The server answered ${response.status}. Try again.`;
  throw new Refusal(response.status, detail, error?.errors ?? []);
}

/** A file as the body of a write, as it is; a table is no JSON, whatever the system thinks its kind is. */
export const asItIs = (file: Blob) => {
  const kind = /^(image|application\/pdf)/.test(file.type) ? file.type : 'application/octet-stream';
  return { body: file as unknown as string, bodySerializer: () => file, headers: { 'Content-Type': kind } };
};

/** Keeps a picture for a job; the answer says where it stands. */
export const sendPhotograph = (job: number, picture: Blob) =>
  told(api.POST('/jobs/{job}/photographs', { params: { path: { job } }, ...asItIs(picture) }));
