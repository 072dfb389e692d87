import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../api/client';
import { queries } from '../api/queries';

export type Me = Schemas['Me'];
export type Role = Schemas['PersonView']['role'];

const KEY = 'isotherm.me';
const ORDER: readonly Role[] = ['VIEWER', 'BUILDER', 'OWNER'];

/** Who it was when the server was last heard: without a connection nobody has to sign in again. */
export function lastMe(): Me | undefined {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? 'null') ?? undefined;
  } catch {
    return undefined;
  }
}

export function keepMe(me: Me): void {
  localStorage.setItem(KEY, JSON.stringify(me));
}

/** Whoever uses this browser, as the server knows them. */
export function useMe(): Me | undefined {
  const asked = useQuery(queries.me());
  return asked.data ?? lastMe();
}

/** Whether whoever works here may do what a role may. */
export function useMay(least: Role): boolean {
  const me = useMe();
  return !me?.together || (me.person !== undefined && ORDER.indexOf(me.person.role) >= ORDER.indexOf(least));
}
