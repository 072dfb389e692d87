import { useEffect, useRef } from 'react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { Live } from '../../api/live';
import { queries } from '../../api/queries';

/**
 * Listens to the gauges of a build, with a word when something was written on the sheet by the logger. What they show is asked
 * for by whoever shows it: it changes ten times a second, and a whole sheet that is drawn anew as often wears a phone out.
 */
export function useLive(id: string, onWritten: () => void) {
  const client = useQueryClient();
  const written = useRef(onWritten);
  useEffect(() => {
    written.current = onWritten;
  });
  useEffect(() => {
    const { queryKey } = queries.live(id);
    const source = new EventSource(`/api/builds/${id}/live`);
    source.addEventListener('sample', (e) =>
      client.setQueryData<Live>(queryKey, JSON.parse((e as MessageEvent<string>).data) as Live),
    );
    source.addEventListener('written', () => written.current());
    return () => {
      source.close();
      client.removeQueries({ queryKey });
    };
  }, [id, client]);
}

/** What the gauges show now. */
export function useShown(id: string): Live | undefined {
  return useQuery(queries.live(id)).data;
}

const NO_LOGGER = { listening: false, simulated: false };

/** Which logger shows them: whoever asks is drawn anew when that changes, not with every figure. */
export function useLogger(id: string): Pick<Live, 'listening' | 'simulated'> {
  return (
    useQuery({ ...queries.live(id), select: ({ listening, simulated }) => ({ listening, simulated }) }).data ??
    NO_LOGGER
  );
}

/** Whether the engine turns, as far as the gauges show it: whoever asks is drawn anew when that changes. */
export function useTurning(id: string): boolean {
  return useQuery({ ...queries.live(id), select: (live) => live.turning }).data ?? false;
}
