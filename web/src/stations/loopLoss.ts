import type { Schemas } from '../api/client';

/** The one figure that stands for the loop's loss: hot oil, highest engine speed, with what the relief valve lets by. */
export function loopLossBar(points: readonly Schemas['PressurePoint'][]): number {
  return points.find((p) => p.kind === 'HOT_HIGHEST_SPEED')?.loopBar ?? 0;
}
