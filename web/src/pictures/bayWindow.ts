import type { Schemas } from '../api/client';

type Point = Schemas['PointDocument'];
type Line = Schemas['PlumbedLine'];
/** How far a bay, or the room that two hoses take, reaches. */
export type Room = Pick<Schemas['BayDocument'], 'leftMm' | 'rightMm' | 'groundMm' | 'topMm' | 'frontMm' | 'rearMm'>;

const MOST_TOLD = 3;

/** The worst places of a line, each thing once. */
export function worst(line: Line): Line['troubles'] {
  const byWhat = new Map<string, Line['troubles'][number]>();
  for (const t of line.troubles) {
    const there = byWhat.get(t.what);
    if (!there || there.missingMm < t.missingMm) {
      byWhat.set(t.what, t);
    }
  }
  return [...byWhat.values()].sort((a, b) => b.missingMm - a.missingMm).slice(0, MOST_TOLD);
}

export interface Window {
  readonly x: readonly [number, number];
  readonly y: readonly [number, number];
  readonly z: readonly [number, number];
}

export function whole(bay: Room): Window {
  return { x: [bay.leftMm, bay.rightMm], y: [bay.groundMm, bay.topMm], z: [bay.frontMm, bay.rearMm] };
}

const MARGIN_MM = 110;
const STEP_MM = 50;

/** The part of the bay that the hoses are in, in whole steps so that it does not twitch. */
export function windowOf(
  bay: Room,
  lines: readonly Line[],
  points: Record<'feed' | 'return', readonly Point[]>,
): Window {
  const all = [...placed(lines), ...points.feed, ...points.return];
  if (all.length === 0) {
    return whole(bay);
  }
  const span = (of: (p: Point) => number, low: number, high: number): readonly [number, number] => [
    Math.max(low, Math.floor((Math.min(...all.map(of)) - MARGIN_MM) / STEP_MM) * STEP_MM),
    Math.min(high, Math.ceil((Math.max(...all.map(of)) + MARGIN_MM) / STEP_MM) * STEP_MM),
  ];
  return {
    x: span((p) => p.xMm, bay.leftMm, bay.rightMm),
    y: span((p) => p.yMm, bay.groundMm, bay.topMm),
    z: span((p) => p.zMm, bay.frontMm, bay.rearMm),
  };
}

/** All that is known of where lines are. */
function placed(lines: readonly Line[]): Point[] {
  return lines.flatMap((l) => [...l.points, l.fromPort, l.toPort].filter((p) => p !== undefined));
}

/** The room that lines take where no bay is measured round them. */
export function roomOf(lines: readonly Line[]): Room {
  const all = placed(lines);
  const low = (of: (p: Point) => number) => Math.min(0, ...all.map(of)) - MARGIN_MM;
  const high = (of: (p: Point) => number) => Math.max(...all.map(of)) + MARGIN_MM;
  return {
    leftMm: low((p) => p.xMm),
    rightMm: high((p) => p.xMm),
    groundMm: 0,
    topMm: high((p) => p.yMm),
    frontMm: low((p) => p.zMm),
    rearMm: high((p) => p.zMm),
  };
}
