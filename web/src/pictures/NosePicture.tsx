import { scaleLinear } from 'd3-scale';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { useTheme } from 'styled-components';
import type { Schemas } from '../api/client';
import { usePreferences } from '../preferences/preferences';
import type { CarDocument } from '../api/client';
import { CoreDetails } from './CoreDetails';
import { Drawing, hold, pointerIn, stepOf } from './drawing';
import { useWidth } from './useWidth';

export type Nose = NonNullable<CarDocument['nose']>;

interface Rect {
  readonly leftMm: number;
  readonly bottomMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

export interface Position {
  readonly xMm: number;
  readonly yMm: number;
  readonly zMm: number;
}

interface Props {
  readonly nose: Nose;
  readonly at: Position | undefined;
  readonly fit: Schemas['PlacementAnswer'] | undefined;
  /** Air on the fed part of the face at the end of the session, m/s. */
  readonly airMPerS: number;
  /** The part or opening whose dimensions are numbered. */
  readonly marked: (Rect & { readonly frontMm?: number; readonly depthMm?: number }) | undefined;
  readonly onMove: (to: Position) => void;
  readonly onDrag: (on: boolean) => void;
  readonly mostHeight: number;
}

const STEP_MM = 5;
const GAP = 34;
const FOOT = 18;
const TOP = 18;

/** The nose to scale, from the front and as a section from the side, with the core in it to be moved. */
export function NosePicture({ nose, at, fit, airMPerS, marked, onMove, onDrag, mostHeight }: Props) {
  const theme = useTheme();
  const { show } = usePreferences();
  const [ref, width] = useWidth();
  const dragging = useRef<{ view: 'front' | 'side'; dx: number; dy: number }>(undefined);
  const rects: Rect[] = [...nose.openings, ...nose.parts];
  // As wide as what matters for the air; a beam may run out of the picture.
  const wanted = [...nose.openings, ...nose.parts.filter((p) => p.kind !== 'BEAM'), ...(fit ? [fit.outline] : [])];
  const half = Math.max(300, ...wanted.map((r) => Math.max(-r.leftMm, r.leftMm + r.widthMm))) * 1.06;
  const top = Math.max(600, ...rects.map((r) => r.bottomMm + r.heightMm)) + 30;
  const deep = Math.max(420, ...nose.parts.map((p) => p.frontMm + p.depthMm), (at?.zMm ?? 0) + 120) + 30;
  const ahead = 60;
  const scale = Math.min((width - GAP) / (2 * half + deep + ahead), (mostHeight - FOOT - TOP) / top);
  const used = (2 * half + deep + ahead) * scale + GAP;
  const left = Math.max(0, (width - used) / 2);
  const ground = TOP + top * scale;
  const height = ground + FOOT;
  const fx = scaleLinear([-half, half], [left, left + 2 * half * scale]);
  const fy = scaleLinear([0, top], [ground, ground - top * scale]);
  const sideLeft = left + 2 * half * scale + GAP;
  const sz = scaleLinear([-ahead, deep], [sideLeft, sideLeft + (deep + ahead) * scale]);
  const start = (view: 'front' | 'side', e: PointerEvent<SVGGElement>) => {
    if (!at) {
      return;
    }
    const [px, py] = pointerIn(e);
    dragging.current = {
      view,
      dx: view === 'front' ? fx.invert(px) - at.xMm : sz.invert(px) - at.zMm,
      dy: fy.invert(py) - at.yMm,
    };
    hold(e);
    onDrag(true);
  };
  const drag = (e: PointerEvent<SVGSVGElement>) => {
    const d = dragging.current;
    if (d && at) {
      const [px, py] = pointerIn(e);
      const y = fy.invert(py) - d.dy;
      onMove(
        d.view === 'front'
          ? { ...at, xMm: fx.invert(px) - d.dx, yMm: y }
          : { ...at, zMm: sz.invert(px) - d.dx, yMm: y },
      );
    }
  };
  const end = () => {
    dragging.current = undefined;
    onDrag(false);
  };
  const keys = (view: 'front' | 'side') => (e: KeyboardEvent) => {
    const m = stepOf(e, STEP_MM);
    if (m && at) {
      e.preventDefault();
      onMove(
        view === 'front'
          ? { ...at, xMm: at.xMm + m[0], yMm: at.yMm + m[1] }
          : { ...at, zMm: at.zMm + m[0], yMm: at.yMm + m[1] },
      );
    }
  };
  const front = (r: Rect) => ({
    x: fx(r.leftMm),
    y: fy(r.bottomMm + r.heightMm),
    width: r.widthMm * scale,
    height: r.heightMm * scale,
  });
  const solid = (kind: string) => ['BEAM', 'PLATE', 'HORN', 'LINES', 'OTHER'].includes(kind);
  const order = [...nose.parts].sort((a, b) => b.frontMm + b.depthMm - (a.frontMm + a.depthMm));
  const said = fit
    ? `${fit.shadedPercent.toFixed(0)} % shaded, ${show(fit.openingCm2, 'area')} of opening, ${show(fit.crushClearanceMm, 'length')} behind what crushes`
    : '';
  return (
    <Drawing ref={ref}>
      <svg
        width={width}
        height={height}
        role="group"
        aria-label="The nose to scale"
        onPointerMove={drag}
        onPointerUp={end}
        onPointerCancel={end}
      >
        <defs>
          <clipPath id="nose-front">
            <rect x={fx(-half)} y={0} width={2 * half * scale} height={height} />
          </clipPath>
          <pattern id="solid" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line y2="6" stroke={theme.line} strokeWidth="1.4" />
          </pattern>
          <pattern id="dark" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line y2="5" stroke={theme.ink} strokeWidth="2" />
          </pattern>
        </defs>
        <text x={fx(-half)} y={12} className="strong">
          From the front
        </text>
        <text x={sz(-ahead)} y={12} className="strong">
          From the side
        </text>
        <line x1={fx(-half)} x2={fx(half)} y1={ground} y2={ground} stroke={theme.line} />
        <line x1={sz(-ahead)} x2={sz(deep)} y1={ground} y2={ground} stroke={theme.line} />
        <line x1={fx(0)} x2={fx(0)} y1={TOP} y2={ground} stroke={theme.faint} strokeDasharray="8 4 2 4" />
        <line
          x1={fx(-half)}
          x2={fx(half)}
          y1={fy(nose.groundMm)}
          y2={fy(nose.groundMm)}
          stroke={theme.faint}
          strokeDasharray="3 4"
        />
        <rect
          x={sz(0)}
          width={Math.max(0, nose.crushMm * scale)}
          y={TOP}
          height={ground - TOP - nose.groundMm * scale}
          fill="url(#solid)"
          opacity={0.5}
        />
        <line x1={sz(0)} x2={sz(0)} y1={TOP} y2={fy(nose.groundMm)} stroke={theme.ink} strokeWidth={1.6} />
        {nose.openings.map((o) => (
          <g key={o.name}>
            <line
              x1={sz(0)}
              x2={sz(0)}
              y1={fy(o.bottomMm)}
              y2={fy(o.bottomMm + o.heightMm)}
              stroke={theme.paper}
              strokeWidth={4}
            />
            <path
              d={`M${sz(0) - 26},${fy(o.bottomMm + o.heightMm / 2)} h18 m-5,-4 l5,4 l-5,4`}
              stroke={theme.soft}
              fill="none"
            />
          </g>
        ))}
        {order.map((p) => (
          <g key={p.name}>
            <rect
              {...front(p)}
              clipPath="url(#nose-front)"
              fill={solid(p.kind) ? 'url(#solid)' : 'none'}
              stroke={theme.line}
              strokeDasharray={solid(p.kind) ? undefined : '4 3'}
            />
            <rect
              x={sz(p.frontMm)}
              y={fy(p.bottomMm + p.heightMm)}
              width={Math.max(1.5, p.depthMm * scale)}
              height={p.heightMm * scale}
              fill={solid(p.kind) ? 'url(#solid)' : theme.sheet}
              stroke={theme.line}
            />
          </g>
        ))}
        {nose.openings.map((o) => (
          <rect key={o.name} {...front(o)} fill="none" stroke={theme.ink} strokeWidth={1.6} rx={5} />
        ))}
        {fit && at && (
          <>
            <g
              role="slider"
              tabIndex={0}
              aria-label="Core, from the front"
              aria-valuenow={Math.round(at.xMm)}
              aria-valuetext={`${show(at.xMm, 'length')} across, ${show(at.yMm, 'length')} up; ${said}`}
              onKeyDown={keys('front')}
              onPointerDown={(e) => start('front', e)}
            >
              <rect {...front(fit.outline)} fill={theme.paper} fillOpacity={0.72} />
              {fit.fed.map((r, i) => (
                <FedFace key={i} rect={r} shades={fit.shades} speed={airMPerS} x={fx} y={fy} ink={theme.ink} />
              ))}
              {fit.shades.map((r, i) => (
                <rect key={i} {...front(r)} fill="url(#dark)" opacity={0.55} />
              ))}
              <rect {...front(fit.face)} fill="none" stroke={theme.ink} strokeWidth={0.8} />
              <rect className="edge" {...front(fit.outline)} fill="none" stroke={theme.ink} strokeWidth={2.2} />
              <CoreDetails
                layout={fit.layout}
                x={(mm) => fx(fit.outline.leftMm + fit.outline.widthMm / 2 + mm)}
                y={(mm) => fy(fit.outline.bottomMm + fit.outline.heightMm / 2 + mm * upright(fit))}
                scale={Math.abs(fx(1) - fx(0))}
              />
            </g>
            <g
              role="slider"
              tabIndex={0}
              aria-label="Core, from the side"
              aria-valuenow={Math.round(at.zMm)}
              aria-valuetext={`${show(at.zMm, 'length')} behind the skin, ${show(at.yMm, 'length')} up; ${said}`}
              onKeyDown={keys('side')}
              onPointerDown={(e) => start('side', e)}
            >
              <polygon
                className="edge"
                points={fit.section.map((c) => `${sz(c.zMm)},${fy(c.yMm)}`).join(' ')}
                fill={theme.press}
                stroke={theme.ink}
                strokeWidth={2.2}
              />
              {fit.gaps && (
                <text
                  x={sz(at.zMm) + 4}
                  y={fy(fit.outline.bottomMm + fit.outline.heightMm) - 6}
                  className="halo"
                  textAnchor="middle"
                >
                  {show(at.zMm, 'length')}
                </text>
              )}
            </g>
          </>
        )}
        {marked && <Dimensions rect={marked} front={front(marked)} z={sz} y={fy} ink={theme.ink} paper={theme.paper} />}
        <text x={fx(half)} y={ground + 14} textAnchor="end">
          {show(2 * half, 'length')} across
        </text>
        <text x={sz(nose.crushMm / 2)} y={ground + 14} textAnchor="middle">
          crushes
        </text>
      </svg>
    </Drawing>
  );
}

const DOT_MM = 22;
/** A dot fills its cell at this speed, m/s. */
const FASTEST = 14;

/** Air on the face: dots whose size is its speed; none where the face is in the dark. */
function FedFace(props: {
  rect: Rect;
  shades: readonly Rect[];
  speed: number;
  x: (mm: number) => number;
  y: (mm: number) => number;
  ink: string;
}) {
  const { rect, shades, speed, x, y, ink } = props;
  const columns = Math.max(1, Math.round(rect.widthMm / DOT_MM));
  const rows = Math.max(1, Math.round(rect.heightMm / DOT_MM));
  const size = Math.min(1, speed / FASTEST) * 0.42 * Math.abs(x(DOT_MM) - x(0));
  const dots = [];
  for (let i = 0; i < columns; i++) {
    for (let j = 0; j < rows; j++) {
      const mx = rect.leftMm + ((i + 0.5) * rect.widthMm) / columns;
      const my = rect.bottomMm + ((j + 0.5) * rect.heightMm) / rows;
      const dark = shades.some(
        (s) => s.leftMm < mx && mx < s.leftMm + s.widthMm && s.bottomMm < my && my < s.bottomMm + s.heightMm,
      );
      if (!dark) {
        dots.push(<circle key={`${i}/${j}`} cx={x(mx)} cy={y(my)} r={Math.max(0.6, size)} fill={ink} />);
      }
    }
  }
  return <g aria-hidden>{dots}</g>;
}

/** Numbered dimensions of what is being measured: the numbers stand at its fields too. */
function Dimensions(props: {
  rect: Rect & { readonly frontMm?: number; readonly depthMm?: number };
  front: { x: number; y: number; width: number; height: number };
  z: (mm: number) => number;
  y: (mm: number) => number;
  ink: string;
  paper: string;
}) {
  const { rect, front, z, y, ink, paper } = props;
  const middle = y(rect.bottomMm + rect.heightMm / 2);
  const mark = (n: number, cx: number, cy: number) => (
    <g key={n} transform={`translate(${cx},${cy})`}>
      <circle r={9} fill={ink} />
      <text y={4} textAnchor="middle" style={{ fill: paper, fontWeight: 650 }}>
        {n}
      </text>
    </g>
  );
  return (
    <g aria-hidden>
      <rect {...front} fill="none" stroke={ink} strokeWidth={2.5} />
      {mark(1, front.x, front.y - 12)}
      {mark(2, front.x - 12, front.y + front.height)}
      {mark(3, front.x + front.width / 2, front.y)}
      {mark(4, front.x + front.width, front.y + front.height / 2)}
      {rect.frontMm !== undefined && (
        <>
          {mark(5, z(rect.frontMm), middle - 14)}
          {mark(6, z(rect.frontMm + (rect.depthMm ?? 0)), middle + 14)}
        </>
      )}
    </g>
  );
}

/** How much of the core's height is seen from the front: less than all of it when it leans. */
function upright(fit: Schemas['PlacementAnswer']): number {
  const [low, high] = fit.section;
  return low && high ? (high.yMm - low.yMm) / fit.layout.outsideHeightMm : 1;
}
