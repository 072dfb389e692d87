import { contours } from 'd3-contour';
import { geoPath, geoTransform, type GeoPath } from 'd3-geo';

/** A grid of values over two axes; `values[row][column]`, rows upwards. */
export interface Grid {
  readonly values: readonly (readonly number[])[];
  readonly width: number;
  readonly height: number;
}

export interface Contour {
  readonly level: number;
  readonly path: string;
  /** Where its label stands, px; missing when the contour does not cross the grid. */
  readonly label?: readonly [number, number];
}

/** SVG paths of the regions at or above each level, in px of a picture of the grid's size. */
export function contourPaths(grid: Grid, levels: readonly number[]): Contour[] {
  const rows = grid.values.length;
  const columns = grid.values[0]?.length ?? 0;
  const x = (g: number) => ((g - 0.5) / (columns - 1)) * grid.width;
  const y = (g: number) => grid.height - ((g - 0.5) / (rows - 1)) * grid.height;
  // A grid value stands in the middle of its cell, so the outermost half cells lie outside of the picture.
  const path: GeoPath = geoPath(
    geoTransform({
      point(gx: number, gy: number) {
        this.stream.point(x(gx), y(gy));
      },
    }),
  );
  const flat = grid.values.flatMap((row) => [...row]);
  return contours()
    .size([columns, rows])
    .thresholds([...levels])(flat)
    .map((c) => {
      const inside = c.coordinates
        .flat(2)
        .map(([gx, gy]) => [x(gx ?? 0), y(gy ?? 0)] as const)
        .filter(([px, py]) => px > 24 && px < grid.width - 24 && py > 12 && py < grid.height - 12);
      const label = inside[Math.floor(inside.length / 2)];
      return { level: c.value, path: path(c) ?? '', ...(label ? { label } : {}) };
    });
}

/** Levels a step apart that lie strictly between the least and the greatest value. */
export function levelsBetween(values: readonly (readonly number[])[], step: number): number[] {
  const all = values.flat();
  const low = Math.min(...all);
  const high = Math.max(...all);
  const levels: number[] = [];
  for (let level = Math.ceil(low / step) * step; level < high; level += step) {
    if (level > low) {
      levels.push(level);
    }
  }
  return levels;
}
