import openapi from '../../openapi.json';
import type { Schemas } from './client';

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

/** How long a text may be, as the server's own description states it. */
export function lengths<S extends keyof Schemas>(schema: S, field: keyof Schemas[S] & string): Range {
  interface Property {
    minLength?: number;
    maxLength?: number;
    description?: string;
  }
  const schemas = openapi.components.schemas as unknown as Record<string, { properties: Record<string, Property> }>;
  const text = schemas[schema]?.properties[field];
  return { min: text?.minLength ?? 0, max: text?.maxLength ?? Infinity, description: text?.description ?? field };
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

/** What a field may be, in the order in which the server names it. */
export function choices<S extends keyof Schemas, F extends keyof Schemas[S] & string>(
  schema: S,
  field: F,
): readonly (Schemas[S][F] & string)[] {
  const found = fields(schema).find((f) => f.name === field);
  return (found?.kind === 'choice' ? found.options : []) as readonly (Schemas[S][F] & string)[];
}
