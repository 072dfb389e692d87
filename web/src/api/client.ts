import openapi from '../../openapi.json';
import type { components } from './schema';

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

export async function call<T>(method: string, path: string, body?: unknown, init: RequestInit = {}): Promise<T> {
  const response = await fetch(`/api${path}`, {
    ...init,
    method,
    headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...init.headers },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  if (!response.ok) {
    const detail = (await response.json().catch(() => ({}))) as Told;
    throw new ApiError(
      response.status,
      detail.detail ?? detail.title ?? response.statusText,
      (detail['problems'] as Problem[] | undefined) ?? [],
      detail,
    );
  }
  return (response.status === 204 ? undefined : await response.json()) as T;
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

/** Whether a request may simply be sent again: nothing was answered, or the server asks for a little patience. */
export function isPassing(e: unknown): boolean {
  return !(e instanceof ApiError) || e.status >= 500 || e.status === 429;
}

/**
 * Creates something, once: it is named here, so that it can be sent again when no answer came.
 */
export async function create<T>(path: string, body?: unknown): Promise<T> {
  const headers = { 'Idempotency-Key': newId() };
  for (let tries = 1; ; tries++) {
    try {
      return await call<T>('POST', path, body, { headers });
    } catch (e) {
      if (tries === TRIES || !isPassing(e)) {
        throw e;
      }
      await new Promise((resolve) => setTimeout(resolve, PAUSE_MS * tries));
    }
  }
}

/** Sends a file as it is; what it creates is named here, so that it is created once. */
export async function send<T>(path: string, body: Blob | string, type: string): Promise<T> {
  const response = await fetch(`/api${path}`, {
    method: 'POST',
    headers: { 'content-type': type, 'Idempotency-Key': newId() },
    body,
  });
  const answer = (await response.json().catch(() => ({}))) as Told;
  if (!response.ok) {
    const problems = (answer['problems'] as Problem[] | undefined) ?? [];
    throw new ApiError(
      response.status,
      problems[0]?.message ?? answer.detail ?? answer.title ?? response.statusText,
      problems,
      answer,
    );
  }
  return answer as T;
}

/** What a change is based on; nothing for what is new. */
export function basedOn(version: number | undefined): RequestInit {
  return version === undefined ? {} : { headers: { 'If-Match': `"${version}"` } };
}

export type JobView = Schemas['JobView'];

/** Watches long work until it ends; told how far it is. */
export async function watch<T>(started: JobView, progress: (job: JobView) => void): Promise<T> {
  for (let job = started; ; job = await call<JobView>('GET', `/jobs/${started.id}`)) {
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
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}

export interface Range {
  readonly min: number;
  readonly max: number;
  readonly description: string;
}

/** The range that the server allows for a field, as its own description states it. */
export function range<S extends keyof Schemas>(schema: S, field: keyof Schemas[S] & string): Range {
  interface Property {
    minimum?: number;
    maximum?: number;
    description?: string;
    items?: Property;
  }
  const schemas = openapi.components.schemas as unknown as Record<string, { properties: Record<string, Property> }>;
  const property = schemas[schema]?.properties[field];
  const number = property?.items ?? property;
  return {
    min: number?.minimum ?? -Infinity,
    max: number?.maximum ?? Infinity,
    description: property?.description ?? field,
  };
}

/** What a field of a document means, with its unit, as the server's own description states it. */
export function meaning(schema: keyof Schemas, pointer: string): string | undefined {
  interface Node {
    $ref?: string;
    properties?: Record<string, Node>;
    items?: Node;
    description?: string;
  }
  const schemas = openapi.components.schemas as unknown as Record<string, Node>;
  const resolved = (node: Node | undefined) => (node?.$ref ? schemas[node.$ref.split('/').pop() ?? ''] : node);
  let at: Node | undefined = schemas[schema];
  let words: string | undefined;
  for (const key of pointer.split('/').slice(1)) {
    const inside: Node | undefined = resolved(at);
    at = /^\d+$/.test(key) ? inside?.items : inside?.properties?.[key];
    words = at?.description ?? words;
  }
  const text = words?.split(';')[0]?.trim();
  return text ? text.charAt(0).toUpperCase() + text.slice(1) : undefined;
}

export type Field = { readonly name: string; readonly label: string } & (
  | { readonly kind: 'text'; readonly longest: number }
  | { readonly kind: 'choice'; readonly options: readonly string[] }
  | { readonly kind: 'number'; readonly min: number; readonly max: number }
  | { readonly kind: 'yes' | 'list' }
);

/** The fields of a document with what each of them takes, as the server's own description states it. */
export function fields(schema: keyof Schemas): readonly Field[] {
  interface Property {
    type?: string;
    enum?: string[];
    minimum?: number;
    maximum?: number;
    maxLength?: number;
  }
  const schemas = openapi.components.schemas as unknown as Record<string, { properties: Record<string, Property> }>;
  return Object.entries(schemas[schema]?.properties ?? {}).map(([name, p]) => {
    // The name says what it is, with the unit at its end.
    const words = name.replaceAll(/([A-Z])/g, (c) => ` ${c.toLowerCase()}`);
    const label = words.charAt(0).toUpperCase() + words.slice(1);
    if (p.enum) {
      return { name, label, kind: 'choice', options: p.enum };
    }
    switch (p.type) {
      case 'boolean':
        return { name, label, kind: 'yes' };
      case 'string':
        return { name, label, kind: 'text', longest: p.maxLength ?? 120 };
      case 'array':
        return { name, label, kind: 'list' };
      default:
        return { name, label, kind: 'number', min: p.minimum ?? -Infinity, max: p.maximum ?? Infinity };
    }
  });
}
