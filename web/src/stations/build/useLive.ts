import { useEffect, useRef, useState } from 'react';
import type { Schemas } from '../../api/client';

export type Channel = NonNullable<Schemas['SheetReading']['channel']>;

export interface Live {
  readonly listening: boolean;
  readonly simulated: boolean;
  readonly time: number;
  readonly values: Partial<Record<Channel, number>>;
  /** Channels that show what no sensor can. */
  readonly spoiled: readonly Channel[];
  /** For how long nothing has come, s; 0 while rows come. */
  readonly silentSeconds: number;
}

/** What the gauges show, and a word when something was written on the sheet by the logger. */
export function useLive(id: string, onWritten: () => void): Live | undefined {
  const [live, setLive] = useState<Live>();
  const written = useRef(onWritten);
  useEffect(() => {
    written.current = onWritten;
  });
  useEffect(() => {
    const source = new EventSource(`/api/builds/${id}/live`);
    source.addEventListener('sample', (e) => setLive(JSON.parse((e as MessageEvent<string>).data) as Live));
    source.addEventListener('written', () => written.current());
    return () => source.close();
  }, [id]);
  return live;
}
