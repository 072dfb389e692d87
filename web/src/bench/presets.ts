import { createContext, useContext } from 'react';
import type { Schemas } from '../api/client';

export type Presets = Schemas['PresetsDocument'];

export const PresetsContext = createContext<Presets | undefined>(undefined);

/** What something begins as that has not been measured or chosen yet; the server's, as all rules of the job. */
export function usePresets(): Presets {
  const presets = useContext(PresetsContext);
  if (!presets) {
    throw new Error('No presets above this');
  }
  return presets;
}
