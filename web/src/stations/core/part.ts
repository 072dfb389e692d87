import { type Schemas } from '../../api/client';

export type Part = Schemas['CorePartDocument'];

export const CONSTRUCTIONS = [
  { id: 'STACKED_PLATE', name: 'Stacked plate' },
  { id: 'BAR_AND_PLATE', name: 'Bar and plate' },
  { id: 'COMBINED_RADIATOR', name: 'In a combined radiator' },
  { id: 'TUBE_AND_FIN', name: 'Tube and fin' },
] as const;
