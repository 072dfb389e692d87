import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../api/client';
import type { Me } from '../api/lastMe';
import { queries } from '../api/queries';

export type Role = Schemas['PersonView']['role'];

const ORDER: readonly Role[] = ['VIEWER', 'BUILDER', 'OWNER'];

/** Whoever uses this browser, as the server knows them, or knew them when it was last heard. */
export function useMe(): Me | undefined {
  return useQuery(queries.me()).data;
}

/** Whether whoever works here may do what a role may. */
export function useMay(least: Role): boolean {
  const me = useMe();
  return !me?.together || (me.person !== undefined && ORDER.indexOf(me.person.role) >= ORDER.indexOf(least));
}
