import createClient from 'openapi-fetch';
import { connection } from './connection.svelte';
import type { components, paths } from './schema';

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
  if (request.method === 'GET') return fetch(request);
  connection.writing++;
  try {
    return await untilAnswered(request);
  } finally {
    connection.writing--;
  }
}

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
    await new Promise((resume) => setTimeout(resume, wait));
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

/** Sends a picture as it is; the answer says where it stands. */
export async function sendPhotograph(
  job: number,
  picture: Blob,
): Promise<components['schemas']['PhotographView']> {
  return asked(
    new Request(`/api/v1/jobs/${job}/photographs`, {
      method: 'POST',
      body: picture,
      headers: { Accept: 'application/json', 'Content-Type': picture.type },
    }),
  );
}

/** Sends a manual, map or drawing of a family. */
export async function sendPaper(
  family: string,
  title: string,
  file: Blob,
): Promise<components['schemas']['PapersView']> {
  return asked(
    new Request(`/api/v1/families/${family}/papers?title=${encodeURIComponent(title)}`, {
      method: 'POST',
      body: file,
      headers: { Accept: 'application/json', 'Content-Type': file.type || 'application/octet-stream' },
    }),
  );
}

/** Sends a file as it is to an address that takes one; the answer is what that address says. */
export async function sendFile<T>(path: string, file: Blob): Promise<T> {
  return asked<T>(
    new Request(`/api/v1${path}`, {
      method: 'POST',
      body: file,
      // a table is no JSON, whatever the system thinks its kind is
      headers: { Accept: 'application/json', 'Content-Type': 'application/octet-stream' },
    }),
  );
}

/** Asks an instrument with what was typed, or with a file as the body. */
export async function readInstrument(
  name: string,
  typed: Record<string, string>,
  file: Blob | null | undefined,
  keep?: { job: number; position: string },
): Promise<components['schemas']['ReadView']> {
  const path = keep
    ? `/api/v1/jobs/${keep.job}/instruments/${name}?position=${encodeURIComponent(keep.position)}`
    : `/api/v1/instruments/${name}/sheet?`;
  const headers = { Accept: 'application/json', 'Content-Type': 'application/json' };
  if (!file) {
    const body = JSON.stringify({ typed });
    return asked(new Request(path, { method: 'POST', body, headers }));
  }
  const query = new URLSearchParams(Object.entries(typed).map(([key, text]) => [`typed[${key}]`, text]));
  return asked(
    new Request(`${path}&${query.toString()}`, {
      method: 'POST',
      body: file,
      headers: { ...headers, 'Content-Type': 'application/octet-stream' },
    }),
  );
}

async function asked<T>(request: Request): Promise<T> {
  const response = await stubbornly(request);
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok) return answer as T;
  const problem = answer as Partial<Problem> | null;
  throw new Refusal(
    response.status,
    problem?.detail ?? `The server answered ${response.status}. Try again.`,
    problem?.errors ?? [],
  );
}
