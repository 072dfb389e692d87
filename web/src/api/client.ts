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
    const detail = (await response.json().catch(() => ({}))) as Record<string, unknown>;
    throw new ApiError(
      response.status,
      String(detail['detail'] ?? detail['title'] ?? response.statusText),
      (detail['problems'] as Problem[] | undefined) ?? [],
      detail,
    );
  }
  return (response.status === 204 ? undefined : await response.json()) as T;
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
