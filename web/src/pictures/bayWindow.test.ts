import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import presets from '../../../server/src/main/resources/presets/presets.json';
import { whole, windowOf, worst } from './bayWindow';

const bay = presets.bays[0]?.bay as unknown as Schemas['BayDocument'];
const at = (xMm: number, yMm: number, zMm: number) => ({ xMm, yMm, zMm });
const line = (points: Schemas['PointDocument'][], troubles: Schemas['TroubleDocument'][] = []) =>
  ({ points, troubles, fromPort: points[0], toPort: points[points.length - 1] }) as Schemas['PlumbedLine'];
const none = { feed: [], return: [] };

describe('the part of a bay that is shown', () => {
  it('is all of it while there is no hose', () => {
    expect(windowOf(bay, [], none)).toEqual(whole(bay));
  });

  it('holds every point with room round it and stays inside the bay', () => {
    const w = windowOf(bay, [line([at(-400, 380, 660), at(100, 700, 200)])], { feed: [at(700, 400, 300)], return: [] });
    expect(w.x).toEqual([-550, bay.rightMm]);
    expect(w.y[0]).toBeLessThanOrEqual(270);
    expect(w.y[1]).toBe(bay.topMm);
    expect(w.z[0]).toBeLessThanOrEqual(90);
    expect(w.z[1]).toBeGreaterThanOrEqual(770);
  });

  it('does not twitch when a point moves by a millimetre', () => {
    const one = windowOf(bay, [line([at(-400, 380, 660), at(105, 600, 205)])], none);
    const other = windowOf(bay, [line([at(-401, 381, 661), at(106, 601, 206)])], none);
    expect(other).toEqual(one);
  });

  it('tells each trouble once, the worst first, and no more than three', () => {
    const trouble = (what: string, missingMm: number) => ({ what, missingMm, at: at(0, 0, 0) });
    const told = worst(
      line(
        [at(0, 0, 0)],
        [trouble('bend', 4), trouble('block', 30), trouble('bend', 9), trouble('rail', 2), trouble('fan', 1)],
      ),
    );
    expect(told.map((t) => [t.what, t.missingMm])).toEqual([
      ['block', 30],
      ['bend', 9],
      ['rail', 2],
    ]);
  });
});
