import type { Schemas } from '../../api/client';

type Stretch = Schemas['StretchDocument'];
type Slope = Schemas['SlopeDocument'];

const SHORTEST = 5;
const SLOWEST = 5;
const FASTEST = 450;

const clamp = (v: number, low: number, high: number) => Math.max(low, Math.min(high, v));

/** Corner points of a lap: where each stretch begins, and the end, which is the beginning again. */
export function lapNodes(stretches: readonly Stretch[]) {
  let x = 0;
  const nodes = stretches.map((s, i) => {
    const node = { x, y: s.entryKmh, name: `Point ${i + 1} of the lap` };
    x += s.lengthM;
    return node;
  });
  const last = stretches[stretches.length - 1];
  return [...nodes, { x, y: last?.exitKmh ?? 0, name: 'End of the lap' }];
}

/** Moves a point of the lap: its speed, and how its two stretches share their length. The end moves with the beginning. */
export function moveLapNode(stretches: readonly Stretch[], node: number, x: number, kmh: number): Stretch[] {
  const n = stretches.length;
  const at = node % n;
  const before = (at - 1 + n) % n;
  const speed = clamp(kmh, SLOWEST, FASTEST);
  const next = stretches.map((s) => ({ ...s }));
  const mine = next[at] as Stretch;
  const other = next[before] as Stretch;
  mine.entryKmh = speed;
  other.exitKmh = speed;
  if (node > 0 && node < n) {
    const start = stretches.slice(0, node - 1).reduce((sum, s) => sum + s.lengthM, 0);
    const both = other.lengthM + mine.lengthM;
    other.lengthM = clamp(x - start, SHORTEST, both - SHORTEST);
    mine.lengthM = both - other.lengthM;
  }
  return next;
}

/** Sets the length of a stretch; the lap grows with it. */
export function setLength(stretches: readonly Stretch[], at: number, lengthM: number): Stretch[] {
  return stretches.map((s, i) => (i === at ? { ...s, lengthM } : s));
}

/** Halves a stretch, with the speed of even acceleration in its middle. */
export function splitStretch(stretches: readonly Stretch[], at: number): Stretch[] {
  return stretches.flatMap((s, i) => {
    if (i !== at) {
      return [s];
    }
    const middle = Math.round(Math.sqrt((s.entryKmh ** 2 + s.exitKmh ** 2) / 2));
    return [
      { lengthM: s.lengthM / 2, entryKmh: s.entryKmh, exitKmh: middle },
      { lengthM: s.lengthM / 2, entryKmh: middle, exitKmh: s.exitKmh },
    ];
  });
}

/** Takes a point out of the lap: its two stretches become one. */
export function removeLapNode(stretches: readonly Stretch[], node: number): Stretch[] {
  const n = stretches.length;
  if (n < 2) {
    return [...stretches];
  }
  const at = node % n;
  const before = (at - 1 + n) % n;
  const joined: Stretch = {
    lengthM: (stretches[before] as Stretch).lengthM + (stretches[at] as Stretch).lengthM,
    entryKmh: (stretches[before] as Stretch).entryKmh,
    exitKmh: (stretches[at] as Stretch).exitKmh,
  };
  if (at === 0) {
    return [...stretches.slice(1, n - 1), joined];
  }
  return [...stretches.slice(0, before), joined, ...stretches.slice(at + 1)];
}

/** Heights along a climb from its foot. */
export function slopeNodes(slopes: readonly Slope[]) {
  let x = 0;
  let y = 0;
  const nodes = [{ x, y, name: 'Foot of the climb' }];
  slopes.forEach((s, i) => {
    x += s.lengthM;
    y += (s.lengthM * s.gradePercent) / 100;
    nodes.push({ x, y, name: i === slopes.length - 1 ? 'Top of the climb' : `Point ${i + 1} of the climb` });
  });
  return nodes;
}

/** Moves a point of the climb; what lies above it keeps its gradients' heights where they were. */
export function moveSlopeNode(slopes: readonly Slope[], node: number, x: number, y: number): Slope[] {
  if (node === 0) {
    return [...slopes];
  }
  const nodes = slopeNodes(slopes);
  const before = nodes[node - 1] as { x: number; y: number };
  const after = nodes[node + 1];
  const limit = after ? after.x - 10 : before.x + 100_000;
  const newX = clamp(x, before.x + 10, limit);
  const grade = (rise: number, run: number) => clamp(Math.round((rise / run) * 1000) / 10, -25, 35);
  return slopes.map((s, i) => {
    if (i === node - 1) {
      return { lengthM: newX - before.x, gradePercent: grade(y - before.y, newX - before.x) };
    }
    if (i === node && after) {
      return { lengthM: after.x - newX, gradePercent: grade(after.y - y, after.x - newX) };
    }
    return s;
  });
}
