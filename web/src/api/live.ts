import type { Schemas } from './client';

export type Channel = NonNullable<Schemas['SheetReading']['channel']>;

/** What gauges show, as the stream of a build tells it. */
export interface Live {
  readonly listening: boolean;
  readonly simulated: boolean;
  /** Whether the engine turns, as far as they show it. */
  readonly turning: boolean;
  readonly time: number;
  readonly values: Partial<Record<Channel, number>>;
  /** Channels that show what no sensor can. */
  readonly spoiled: readonly Channel[];
  /** For how long nothing has come, s; 0 while rows come. */
  readonly silentSeconds: number;
}
