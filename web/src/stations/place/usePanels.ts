import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { useBench } from '../../bench/workbench';

export type Panel = Schemas['PanelDocument'];

/** The design's shroud sides and deflectors as they are folded. */
export function usePanels(): readonly Schemas['PanelAnswer'][] {
  const { car, design } = useBench();
  const some = (design.cooler?.placement?.panels?.length ?? 0) > 0;
  const folded = useQuery(queries.panels(some ? { car, design } : undefined)).data;
  return some ? (folded ?? []) : [];
}
