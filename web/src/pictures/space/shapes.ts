import type { Schemas } from '../../api/client';

export type Point = Schemas['PointDocument'];
export type Triple = readonly [number, number, number];

/** A body of flat faces. */
export interface Solid {
  readonly name: string;
  readonly what: Schemas['Body']['what'];
  readonly faces: readonly (readonly Point[])[];
}

/** A hose along its way. */
export interface Tube {
  readonly name: string;
  readonly points: readonly Point[];
  readonly outsideMm: number;
}

/** In the axes of the picture, m: to the right, up, and back from the skin. */
export function at(p: Point): Triple {
  return [p.xMm / 1000, p.yMm / 1000, p.zMm / 1000];
}

/** Corners of triangles that fill convex faces, three numbers a corner. */
export function triangles(faces: readonly (readonly Point[])[]): Float32Array {
  const out: number[] = [];
  for (const face of faces) {
    for (let i = 1; i + 1 < face.length; i++) {
      for (const p of [face[0], face[i], face[i + 1]]) {
        if (p) {
          out.push(...at(p));
        }
      }
    }
  }
  return new Float32Array(out);
}

/** Ends of the edges of faces, three numbers an end. */
export function edges(faces: readonly (readonly Point[])[]): Float32Array {
  const out: number[] = [];
  for (const face of faces) {
    face.forEach((p, i) => {
      const next = face[(i + 1) % face.length];
      if (next) {
        out.push(...at(p), ...at(next));
      }
    });
  }
  return new Float32Array(out);
}

/** Middle and half the size of everything, so that it is all in the picture. */
export function bounds(points: readonly Point[]): { middle: Triple; reach: number } {
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (const p of points) {
    at(p).forEach((v, i) => {
      low[i] = Math.min(low[i] ?? v, v);
      high[i] = Math.max(high[i] ?? v, v);
    });
  }
  if (points.length === 0) {
    return { middle: [0, 0, 0], reach: 1 };
  }
  const half = low.map((l, i) => ((high[i] ?? l) - l) / 2);
  return {
    middle: [(low[0] ?? 0) + (half[0] ?? 0), (low[1] ?? 0) + (half[1] ?? 0), (low[2] ?? 0) + (half[2] ?? 0)],
    reach: Math.max(0.05, Math.hypot(...half)),
  };
}
