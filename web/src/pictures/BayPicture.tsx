import { scaleLinear } from 'd3-scale';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import styled, { useTheme } from 'styled-components';
import type { Schemas } from '../api/client';
import { usePreferences } from '../preferences/preferences';
import { whole, windowOf, worst, type Room } from './bayWindow';
import { Drawing, hold, pointerIn, stepOf } from './drawing';
import { beside, inside, placed, type Label, type Rect } from './labels';
import { useWidth } from './useWidth';

type Point = Schemas['PointDocument'];
type Box = Schemas['BoxDocument'];
type Line = Schemas['PlumbedLine'];
export type Which = 'feed' | 'return';

const Frame = styled(Drawing)`
  & text {
    font-size: 11px;
  }
  & .strong {
    font-size: 12px;
  }
`;

interface Props {
  readonly bay: Room;
  readonly boxes: readonly Box[];
  readonly holes: Schemas['BayDocument']['holes'];
  readonly lines: readonly Line[];
  readonly points: Record<Which, readonly Point[]>;
  readonly marked: string | undefined;
  /** Outer diameter of the hoses. */
  readonly outsideMm: number;
  /** Show only the part of the bay that the hoses are in. */
  readonly closer: boolean;
  readonly dragged: boolean;
  readonly mostHeight: number;
  readonly onMove: (which: Which, index: number, to: Point) => void;
  readonly onDrag: (on: boolean) => void;
}

const STEP_MM = 10;
const GAP = 30;
const TOP = 20;
const FOOT = 6;
const LEAST_WIDE = 5;

/** One of the two views: which coordinate goes across, and which up. */
interface View {
  readonly name: 'above' | 'the side';
  readonly across: (mm: number) => number;
  readonly up: (mm: number) => number;
  readonly back: (px: number, py: number, from: Point) => Point;
  readonly at: (p: Point) => readonly [number, number];
  readonly box: (b: Box) => { x: number; y: number; width: number; height: number };
}

/** The bay to scale from above and from the side, with both hoses in it; way-points are dragged or moved by keys. */
export function BayPicture(props: Props) {
  const { bay, boxes, holes, lines, points, marked, outsideMm, closer, dragged, mostHeight, onMove, onDrag } = props;
  const theme = useTheme();
  const { show } = usePreferences();
  const [ref, width] = useWidth();
  const dragging = useRef<{ view: View; which: Which; index: number }>(undefined);
  // The window stands still while a point is dragged: it would run away under the hand otherwise.
  const wanted = closer ? windowOf(bay, lines, points) : whole(bay);
  const [frame, setFrame] = useState(wanted);
  if (!dragged && JSON.stringify(frame) !== JSON.stringify(wanted)) {
    setFrame(wanted);
  }
  const [x0, x1] = frame.x;
  const [y0, y1] = frame.y;
  const [z0, z1] = frame.z;
  const w = x1 - x0;
  const d = z1 - z0;
  const h = y1 - y0;
  const scale = Math.min((width - GAP) / (w + d), (mostHeight - TOP - FOOT) / Math.max(d, h));
  const left = Math.max(0, (width - (w + d) * scale - GAP) / 2);
  const height = TOP + FOOT + Math.max(d, h) * scale;
  const px = scaleLinear([x0, x1], [left, left + w * scale]);
  const pz = scaleLinear([z0, z1], [TOP, TOP + d * scale]);
  const sideLeft = left + w * scale + GAP;
  const sz = scaleLinear([z0, z1], [sideLeft, sideLeft + d * scale]);
  const sy = scaleLinear([y0, y1], [TOP + h * scale, TOP]);
  const above: View = {
    name: 'above',
    across: px,
    up: pz,
    back: (x, y, from) => ({ ...from, xMm: px.invert(x), zMm: pz.invert(y) }),
    at: (p) => [px(p.xMm), pz(p.zMm)],
    box: (b) => ({ x: px(b.leftMm), y: pz(b.frontMm), width: b.widthMm * scale, height: b.depthMm * scale }),
  };
  const side: View = {
    name: 'the side',
    across: sz,
    up: sy,
    back: (x, y, from) => ({ ...from, zMm: sz.invert(x), yMm: sy.invert(y) }),
    at: (p) => [sz(p.zMm), sy(p.yMm)],
    box: (b) => ({
      x: sz(b.frontMm),
      y: sy(b.bottomMm + b.heightMm),
      width: b.depthMm * scale,
      height: b.heightMm * scale,
    }),
  };
  const drag = (e: PointerEvent<SVGSVGElement>) => {
    const now = dragging.current;
    const from = now && points[now.which][now.index];
    if (now && from) {
      onMove(now.which, now.index, now.view.back(...pointerIn(e), from));
    }
  };
  const end = () => {
    if (dragging.current) {
      dragging.current = undefined;
      onDrag(false);
    }
  };
  const keys = (view: View, which: Which, index: number, p: Point) => (e: KeyboardEvent) => {
    const m = stepOf(e, STEP_MM);
    if (m) {
      e.preventDefault();
      onMove(
        which,
        index,
        view.name === 'above'
          ? { ...p, xMm: p.xMm + m[0], zMm: p.zMm - m[1] }
          : { ...p, zMm: p.zMm + m[0], yMm: p.yMm + m[1] },
      );
    }
  };
  // As wide as the hose is, and never so thin that the two cannot be told apart.
  const wide = Math.max(LEAST_WIDE, outsideMm * scale);
  const frameOf = (view: View) => ({
    x: view.name === 'above' ? px(x0) : sz(z0),
    y: TOP,
    width: (view.name === 'above' ? w : d) * scale,
    height: (view.name === 'above' ? d : h) * scale,
  });
  const outline = (view: View, clip: string) => (
    <g key={clip} clipPath={`url(#${clip})`}>
      {boxes.map((b) => {
        const r = view.box(b);
        const wheel = b.kind === 'WHEEL';
        return (
          <g key={b.name}>
            <rect
              {...r}
              rx={wheel ? Math.min(r.width, r.height) / 3 : 0}
              fill={FILLS[b.kind] ?? 'none'}
              stroke={b.name === marked ? theme.ink : theme.line}
              strokeWidth={b.name === marked ? 2.5 : 1}
              strokeDasharray={b.kind === 'SOFT' ? '4 3' : undefined}
            >
              <title>{`${b.name}, ${WORDS[b.kind]}`}</title>
            </rect>
          </g>
        );
      })}
    </g>
  );
  return (
    <Frame ref={ref}>
      <svg
        width={width}
        height={height}
        role="group"
        aria-label="The engine bay to scale"
        onPointerMove={drag}
        onPointerUp={end}
        onPointerCancel={end}
      >
        <defs>
          <pattern id="bay-hot" width="6" height="6" patternUnits="userSpaceOnUse">
            <path d="M0,6 L6,0 M0,0 L6,6" stroke={theme.ink} strokeWidth="0.9" opacity="0.28" />
          </pattern>
          <pattern id="bay-moving" width="6" height="6" patternUnits="userSpaceOnUse">
            <circle cx="3" cy="3" r="1.1" fill={theme.ink} opacity="0.3" />
          </pattern>
          <pattern id="bay-hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line y2="6" stroke={theme.line} strokeWidth="1.2" opacity="0.5" />
          </pattern>
          <clipPath id="bay-above">
            <rect x={px(x0)} y={TOP} width={w * scale} height={d * scale} />
          </clipPath>
          <clipPath id="bay-side">
            <rect x={sz(z0)} y={TOP} width={d * scale} height={h * scale} />
          </clipPath>
        </defs>
        <text x={px(x0)} y={12} className="strong">
          From above, front up
        </text>
        <text x={sz(z0)} y={12} className="strong">
          From the left, front left
        </text>
        {[above, side].map((view) => {
          const clip = view.name === 'above' ? 'bay-above' : 'bay-side';
          return (
            <g key={view.name}>
              {outline(view, clip)}
              <rect
                x={view.name === 'above' ? px(x0) : sz(z0)}
                y={TOP}
                width={(view.name === 'above' ? w : d) * scale}
                height={(view.name === 'above' ? d : h) * scale}
                fill="none"
                stroke={theme.line}
              />
              {holes.map((hole) => {
                const [x, y] = view.at(hole);
                return (
                  <g key={hole.name}>
                    <circle cx={x} cy={y} r={(hole.diameterMm * scale) / 2 + 1} fill={theme.paper} stroke={theme.ink}>
                      <title>{`${hole.name}, ${show(hole.diameterMm, 'length')}`}</title>
                    </circle>
                  </g>
                );
              })}
              {lines.map((l) => (
                <Hose key={l.name} line={l} view={view} width={wide} />
              ))}
              <Names view={view} boxes={boxes} lines={lines} half={wide / 2} frame={frameOf(view)} />
              {lines.map((l) => {
                const which = l.name as Which;
                return points[which].map((p, i) => {
                  const [x, y] = view.at(p);
                  return (
                    <g
                      key={`${which}${i}`}
                      role="slider"
                      tabIndex={0}
                      aria-label={`Way-point ${i + 1} of the ${which}, from ${view.name}`}
                      aria-valuenow={Math.round(view.name === 'above' ? p.xMm : p.yMm)}
                      aria-valuetext={`${show(p.xMm, 'length')} across, ${show(p.yMm, 'length')} up, ${show(p.zMm, 'length')} back`}
                      onKeyDown={keys(view, which, i, p)}
                      onPointerDown={(e) => {
                        dragging.current = { view, which, index: i };
                        hold(e);
                        onDrag(true);
                      }}
                    >
                      <circle cx={x} cy={y} r={18} fill="transparent" />
                      <circle
                        className="edge"
                        cx={x}
                        cy={y}
                        r={8}
                        fill={theme.sheet}
                        stroke={theme.ink}
                        strokeWidth={2}
                      />
                      <text x={x} y={y + 4} textAnchor="middle" className="strong">
                        {i + 1}
                      </text>
                    </g>
                  );
                });
              })}
              {lines.flatMap((l) =>
                worst(l).map((t, i) => {
                  const [x, y] = view.at(t.at);
                  const told = `${t.what}, ${show(t.missingMm, 'length')} short`;
                  return (
                    <text
                      key={`${l.name}${t.what}`}
                      x={Math.max(left + 60, Math.min(width - 60, x))}
                      y={y - 6 - i * 3}
                      textAnchor="middle"
                      className="strong halo"
                    >
                      ▲{view.name === 'above' && ` ${told}`}
                      <title>{told}</title>
                    </text>
                  );
                }),
              )}
            </g>
          );
        })}
      </svg>
    </Frame>
  );
}

const FILLS: Partial<Record<Box['kind'], string>> = {
  HOT: 'url(#bay-hot)',
  MOVING: 'url(#bay-moving)',
  WHEEL: 'url(#bay-moving)',
  SHARP: 'url(#bay-hatch)',
  PANEL: 'url(#bay-hatch)',
};

export const WORDS: Record<Box['kind'], string> = {
  HOT: 'hot',
  MOVING: 'moving',
  WHEEL: 'wheel at full lock and bump',
  SHARP: 'sharp',
  PANEL: 'panel',
  SOLID: 'solid',
  SOFT: 'soft',
};

/** Names of hoses and boxes, none over another or over a hose; a box without room keeps its name for the pointer. */
function Names(props: { view: View; boxes: readonly Box[]; lines: readonly Line[]; half: number; frame: Rect }) {
  const { view, boxes, lines, half, frame } = props;
  const ways = lines.map((l) =>
    [l.fromPort, ...l.points, l.toPort].filter((p) => p !== undefined).map((p) => view.at(p)),
  );
  const labels: Label[] = [
    ...lines.map((l, i) => ({ text: l.name, strong: true, spots: beside(l.name, ways[i] ?? [], half) })),
    ...[...boxes]
      .map((b) => ({ name: b.name, seen: common(view.box(b), frame) }))
      .sort((a, b) => a.seen.width * a.seen.height - b.seen.width * b.seen.height)
      .map(({ name, seen }) => ({ text: name, strong: false, spots: inside(name, seen) })),
  ];
  return (
    <g aria-hidden>
      {placed(labels, ways, half, frame).map((l) => (
        <text
          key={l.text}
          x={l.x}
          y={l.y + 4}
          textAnchor="middle"
          className={l.strong ? 'strong halo' : 'halo'}
          pointerEvents="none"
        >
          {l.text}
        </text>
      ))}
    </g>
  );
}

function common(a: Rect, b: Rect): Rect {
  const x = Math.max(a.x, b.x);
  const y = Math.max(a.y, b.y);
  return {
    x,
    y,
    width: Math.max(0, Math.min(a.x + a.width, b.x + b.width) - x),
    height: Math.max(0, Math.min(a.y + a.height, b.y + b.height) - y),
  };
}

/** The feed is one broad line, the return a pair of thin ones, so that they read apart without colour. */
function Hose({ line, view, width }: { line: Line; view: View; width: number }) {
  const theme = useTheme();
  const path = line.points.map(
    (p, i) =>
      `${i === 0 ? 'M' : 'L'}${view
        .at(p)
        .map((v) => v.toFixed(1))
        .join(',')}`,
  );
  const d = [
    line.fromPort ? `M${view.at(line.fromPort).join(',')}` : '',
    ...path.map((s) => s.replace('M', 'L')),
    line.toPort ? `L${view.at(line.toPort).join(',')}` : '',
  ].join(' ');
  const ends = [line.fromPort, line.toPort].filter((p) => p !== undefined).map(view.at);
  const dash = line.found ? undefined : '6 4';
  return (
    <g aria-hidden>
      <path d={d} fill="none" stroke={theme.paper} strokeWidth={width + 3} />
      <path d={d} fill="none" stroke={theme.ink} strokeWidth={width} strokeDasharray={dash} strokeLinejoin="round" />
      {line.name === 'return' && <path d={d} fill="none" stroke={theme.paper} strokeWidth={width - 3} />}
      {ends.map(([x, y], i) => (
        <circle
          key={i}
          cx={x}
          cy={y}
          r={4}
          fill={line.name === 'return' ? theme.paper : theme.ink}
          stroke={theme.ink}
        />
      ))}
    </g>
  );
}
