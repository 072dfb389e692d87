import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];
export type CarView = Schemas['CarView'];
export type CarDocument = Schemas['CarDocument'];
export type DutyDocument = Schemas['DutyDocument'];
export type DesignDocument = Schemas['DesignDocument'];
export type CoolerDocument = Schemas['CoolerDocument'];
export type CaseDocument = Schemas['CaseDocument'];
export type OutcomeDocument = Schemas['OutcomeDocument'];
export type Interval = Schemas['Interval'];

export interface Problem {
  path: string;
  message: string;
}

/** A refusal (RFC 9457), as far as it says something. */
type Told = Record<string, unknown> & { detail?: string; title?: string };

/** An answer of the server that is not a success. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly problems: readonly Problem[],
    readonly body: Record<string, unknown>,
  ) {
    super(message);
  }
}

/** Over the network, whose failing each browser tells in words of its own that nobody at a car knows. */
async function reach(asked: Request | string, how?: RequestInit): Promise<Response> {
  try {
    return await fetch(asked, how);
  } catch (e) {
    // One that was called off was called off here.
    throw e instanceof DOMException
      ? e
      : new Error('There is no connection to the garage. Try again when it is back.', { cause: e });
  }
}

/** The server, as its own description states it: every path with what it takes and what it answers. */
export const api = createClient<paths>({ fetch: (request) => reach(request) });

interface Answer<T> {
  readonly data?: T;
  readonly error?: unknown;
  readonly response: Response;
}

/** What was answered; a refusal is thrown with what the server says of it. */
export async function read<T>(asked: Promise<Answer<T>>): Promise<T> {
  const { data, error, response } = await asked;
  if (!response.ok) {
    throw refusal(response, error);
  }
  return data as T;
}

/** Told on the window when the server does not know any more who asks. */
export const SIGNED_OUT = 'isotherm-signed-out';

function refusal(response: Response, body: unknown): ApiError {
  if (response.status === 401) {
    window.dispatchEvent(new Event(SIGNED_OUT));
  }
  const told = (typeof body === 'object' && body !== null ? body : {}) as Told;
  return new ApiError(
    response.status,
    told.detail ?? told.title ?? response.statusText,
    (told['problems'] as Problem[] | undefined) ?? [],
    told,
  );
}

/** A random UUID; the browser's own is only there over HTTPS and on loopback, and a tablet at the car may have neither. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = [...bytes].map((b) => b.toString(16).padStart(2, '0')).join('');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}

const TRIES = 3;
const PAUSE_MS = 700;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Whether a request may simply be sent again: nothing was answered, or the server asks for a little patience. */
export function isPassing(e: unknown): boolean {
  return !(e instanceof ApiError) || e.status >= 500 || e.status === 429;
}

/** Whether what was written waits: for the connection, for the server, or until somebody has signed in again. */
export function waits(e: unknown): boolean {
  return isPassing(e) || (e instanceof ApiError && e.status === 401);
}

/**
 * Whether a question may be asked again. One that an earlier question of the same page, late on its way, has taken the place of is
 * still wanted here: its answer never came.
 */
export function mayAskAgain(e: unknown): boolean {
  return isPassing(e) || (e instanceof ApiError && e.status === 409);
}

/** By what a request is known that creates something: sent again, it creates nothing new. */
export interface Named {
  readonly 'Idempotency-Key': string;
}

/** Asks again where an answer may still come: so often in all, after a pause that may grow with the tries. */
async function patiently<T>(ask: () => Promise<T>, most: number, pauseMs: (tries: number) => number): Promise<T> {
  for (let tries = 1; ; tries++) {
    try {
      return await ask();
    } catch (e) {
      if (tries === most || !isPassing(e)) {
        throw e;
      }
      await pause(pauseMs(tries));
    }
  }
}

/** Creates something, once: it is named here, so that it can be sent again when no answer came. */
export function create<T>(ask: (header: Named) => Promise<Answer<T>>): Promise<T> {
  const header = { 'Idempotency-Key': newId() };
  return patiently(
    () => read(ask(header)),
    TRIES,
    (tries) => PAUSE_MS * tries,
  );
}

/** Sends or fetches bytes, for which there are no types; a refusal is thrown with what the server says of it. */
export async function exchange(path: string, how: RequestInit): Promise<Response> {
  const response = await reach(path, how);
  if (!response.ok) {
    const refused = refusal(response, await response.json().catch(() => ({})));
    throw new ApiError(refused.status, refused.problems[0]?.message ?? refused.message, refused.problems, refused.body);
  }
  return response;
}

/** Sends a file as it is; what it creates is named here, so that it is created once. */
export async function send<T>(path: string, body: Blob | string, type: string): Promise<T> {
  const response = await exchange(`/api${path}`, {
    method: 'POST',
    headers: { 'content-type': type, 'Idempotency-Key': newId() },
    body,
  });
  return (await response.json()) as T;
}

/** The version that a change is based on. */
export function basedOn(version: number | undefined): { 'If-Match': string } {
  return { 'If-Match': `"${version}"` };
}

export type JobView = Schemas['JobView'];

/** A page asks anew after so long how far long work is: soon at first, since some of it ends at once. */
const SOONEST_MS = 40;
const LATEST_MS = 200;
/** So often nothing is heard of it before it is given up: it goes on meanwhile. */
const UNHEARD = 30;

/** Watches long work until it ends; told how far it is. */
export async function watch<T>(started: JobView, progress: (job: JobView) => void): Promise<T> {
  let next = SOONEST_MS;
  for (let job = started; ; job = await standing(started.id)) {
    progress(job);
    if (job.state === 'DONE') {
      return job.answer as T;
    }
    if (job.state === 'FAILED' || job.state === 'CANCELLED') {
      throw new ApiError(
        job.state === 'FAILED' ? 422 : 499,
        job.problems[0]?.message ?? job.message ?? 'It was stopped',
        job.problems,
        {},
      );
    }
    await pause(next);
    next = Math.min(1.5 * next, LATEST_MS);
  }
}

function standing(id: string): Promise<JobView> {
  return patiently(
    () => read(api.GET('/api/jobs/{id}', { params: { path: { id } } })),
    UNHEARD,
    () => PAUSE_MS,
  );
}
