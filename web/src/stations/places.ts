import type { CoolerDocument } from '../api/client';

/** Names of the places; what each of them means for the air is the server's. */
export const PLACES: Record<CoolerDocument['place'], string> = {
  GRILLE_AHEAD: 'Grille, ahead of radiator',
  LOWER_GRILLE_AHEAD: 'Lower grille, ahead',
  BEHIND_RADIATOR: 'Behind the radiator',
  FRONT_CORNER_VENTED: 'Front corner, vented',
  FRONT_CORNER_CLOSED: 'Front corner, closed',
  UNDER_FLOOR: 'Under the floor',
  REAR_QUARTER: 'Rear quarter, ducted',
};
