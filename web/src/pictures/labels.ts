/** A rectangle on a drawing, px. */
export interface Rect {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A way that nothing may be written over, px. */
export type Way = readonly (readonly [number, number])[];

export interface Label {
  readonly text: string;
  readonly strong: boolean;
  /** Where its middle may stand, the best first. */
  readonly spots: readonly (readonly [number, number])[];
}

export interface Placed {
  readonly text: string;
  readonly strong: boolean;
  readonly x: number;
  readonly y: number;
}

const LETTER = 6.1;
const HEIGHT = 14;
/** Room between a label and what it keeps clear of, px. */
const CLEAR = 2;

/** What a label covers when its middle stands there. */
export function covered(text: string, [x, y]: readonly [number, number]): Rect {
  const width = text.length * LETTER + 4;
  return { x: x - width / 2, y: y - HEIGHT / 2, width, height: HEIGHT };
}

export function overlap(a: Rect, b: Rect): boolean {
  return a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;
}

/** Whether a stretch of a way comes into a rectangle. Source: Liang and Barsky (1984), clipping of a line. */
function crosses(r: Rect, [ax, ay]: readonly [number, number], [bx, by]: readonly [number, number]): boolean {
  let from = 0;
  let to = 1;
  const sides = [
    [ax - bx, ax - r.x],
    [bx - ax, r.x + r.width - ax],
    [ay - by, ay - r.y],
    [by - ay, r.y + r.height - ay],
  ] as const;
  for (const [p, q] of sides) {
    if (p === 0 ? q < 0 : false) {
      return false;
    }
    if (p < 0) {
      from = Math.max(from, q / p);
    } else if (p > 0) {
      to = Math.min(to, q / p);
    }
  }
  return from <= to;
}

function meets(r: Rect, way: Way, half: number): boolean {
  const wide = { x: r.x - half, y: r.y - half, width: r.width + 2 * half, height: r.height + 2 * half };
  return way.some((p, i) => {
    const next = way[i + 1];
    return next !== undefined && crosses(wide, p, next);
  });
}

/**
 * Puts labels where none lies over another one or over a way; one that finds no room is left out.
 *
 * @param labels the most important first
 * @param ways ways that are kept free
 * @param half half the width of a way, px
 * @param frame all labels lie in it
 */
export function placed(labels: readonly Label[], ways: readonly Way[], half: number, frame: Rect): Placed[] {
  const taken: Rect[] = [];
  return labels.flatMap((label) => {
    const spot = label.spots.find((s) => {
      const r = covered(label.text, s);
      return (
        r.x >= frame.x &&
        r.y >= frame.y &&
        r.x + r.width <= frame.x + frame.width &&
        r.y + r.height <= frame.y + frame.height &&
        !taken.some((t) => overlap(t, r)) &&
        !ways.some((way) => meets(r, way, half + CLEAR))
      );
    });
    if (!spot) {
      return [];
    }
    taken.push(covered(label.text, spot));
    return [{ text: label.text, strong: label.strong, x: spot[0], y: spot[1] }];
  });
}

/** Spots beside a way, near its middle first. */
export function beside(text: string, way: Way, half: number): (readonly [number, number])[] {
  const width = covered(text, [0, 0]).width;
  const order = [0.5, 0.35, 0.65, 0.2, 0.8, 0.1, 0.9];
  return order.flatMap((share) => {
    const at = way[Math.round(share * (way.length - 1))];
    if (!at) {
      return [];
    }
    const [x, y] = at;
    const aside = half + 2 * CLEAR + width / 2;
    const above = half + 2 * CLEAR + HEIGHT / 2;
    return [
      [x + aside, y],
      [x - aside, y],
      [x, y - above],
      [x, y + above],
      [x + aside, y - above],
      [x - aside, y + above],
    ] as const;
  });
}

/** Spots in a rectangle, its middle first. */
export function inside(text: string, r: Rect): (readonly [number, number])[] {
  const { width, height } = covered(text, [0, 0]);
  if (r.width < width || r.height < height) {
    return [];
  }
  const across = [0.5, 0.2, 0.8, 0, 1].map((s) => r.x + width / 2 + s * (r.width - width));
  const up = [0.5, 0, 1, 0.25, 0.75].map((s) => r.y + height / 2 + s * (r.height - height));
  return up.flatMap((y) => across.map((x) => [x, y] as const));
}
