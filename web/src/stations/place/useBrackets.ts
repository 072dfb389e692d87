import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { useBench } from '../../bench/workbench';

export type Bracket = Schemas['BracketDocument'];

/** The design's brackets as they are folded. */
export function useBrackets(): readonly Schemas['BracketAnswer'][] {
  const { car, design } = useBench();
  const some = (design.cooler?.placement?.brackets?.length ?? 0) > 0;
  const folded = useQuery(queries.brackets(some ? { car, design } : undefined)).data;
  // What was there before the last one went is no answer any more.
  return some ? (folded ?? []) : [];
}
