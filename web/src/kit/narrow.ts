import { useSyncExternalStore } from 'react';

/** Up to here it is a phone in one hand. */
export const PHONE = '(max-width: 640px)';

const media = () => window.matchMedia(PHONE);

function watch(changed: () => void): () => void {
  const query = media();
  query.addEventListener('change', changed);
  return () => query.removeEventListener('change', changed);
}

/** Whether the page is as narrow as a phone held upright. */
export function useNarrow(): boolean {
  return useSyncExternalStore(watch, () => media().matches);
}
