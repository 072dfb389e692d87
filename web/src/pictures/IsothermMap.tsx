import { scaleLinear } from 'd3-scale';
import { useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import styled, { useTheme } from 'styled-components';
import type { CarDocument, Interval, Schemas } from '../api/client';
import { usePreferences } from '../preferences/preferences';
import { temperatureColour } from '../preferences/theme';
import { formatNumber, symbol, type Quantity } from '../units/units';
import { contourPaths, levelsBetween } from './contour';
import { useWidth } from './useWidth';

const Frame = styled.figure`
  margin: 0;
  & svg {
    display: block;
    overflow: visible;
    touch-action: none;
    cursor: crosshair;
  }
  & text {
    font-size: 12px;
    fill: ${(p) => p.theme.soft};
    font-variant-numeric: tabular-nums;
    user-select: none;
  }
  & .strong {
    fill: ${(p) => p.theme.ink};
    font-weight: 600;
  }
  & .halo {
    paint-order: stroke;
    stroke: ${(p) => p.theme.paper};
    stroke-width: 4px;
  }
  & g[role='slider'] {
    outline: 0;
    cursor: grab;
  }
  & g[role='slider']:focus-visible .ring {
    stroke-width: 3;
  }
`;

export interface MapAxis {
  readonly label: string;
  readonly value: number;
  readonly step: number;
  readonly quantity?: Quantity;
  readonly suffix?: string;
  readonly digits?: number;
}

interface Props {
  readonly map: Schemas['MapAnswer'];
  readonly x: MapAxis;
  readonly y: MapAxis;
  readonly car: CarDocument;
  readonly interval: Interval | undefined;
  readonly peakC: number;
  readonly height: number;
  readonly onMove: (x: number, y: number) => void;
  readonly onDrag: (on: boolean) => void;
}

const LEFT = 48;
const RIGHT = 14;
const TOP = 8;
const FOOT = 36;
const LEVEL_STEP = 5;

/** Peak oil temperature over two choices: isotherms, the target band filled, and the present design as a handle. */
export function IsothermMap({ map, x, y, car, interval, peakC, height, onMove, onDrag }: Props) {
  const theme = useTheme();
  const { units, show } = usePreferences();
  const [ref, width] = useWidth();
  const dragging = useRef(false);
  const w = Math.max(80, width - LEFT - RIGHT);
  const h = height - TOP - FOOT;
  const ends = (values: readonly number[]) => [values[0] ?? 0, values[values.length - 1] ?? 1] as const;
  const [x0, x1] = ends(map.x);
  const [y0, y1] = ends(map.y);
  const sx = scaleLinear([x0, x1], [0, w]).clamp(true);
  const sy = scaleLinear([y0, y1], [h, 0]).clamp(true);
  // Contours change with the map, not with the handle that is dragged over it.
  const grid = useMemo(() => ({ values: map.peakC, width: w, height: h }), [map.peakC, w, h]);
  const { targetLowC, targetHighC, limitC } = car.limits;
  const [low, high, limit] = useMemo(
    () => [targetLowC, targetHighC, limitC].map((c) => contourPaths(grid, [c])[0]),
    [grid, targetLowC, targetHighC, limitC],
  );
  const lines = useMemo(() => contourPaths(grid, levelsBetween(grid.values, LEVEL_STEP)), [grid]);
  // Where the limit is met at the ends of the interval instead of at the middle.
  const envelope = interval
    ? contourPaths(grid, [limitC - (interval.peakHighC - peakC), limitC - (interval.peakLowC - peakC)])
    : [];
  const number = (axis: MapAxis, v: number) =>
    axis.quantity
      ? `${formatNumber(v, axis.quantity, units[axis.quantity])} ${symbol(axis.quantity, units[axis.quantity])}`
      : `${v.toFixed(axis.digits ?? (axis.step < 1 ? 1 : 0))}${axis.suffix ? ` ${axis.suffix}` : ''}`;
  const snap = (v: number, axis: MapAxis, from: number, to: number) =>
    Number(Math.max(from, Math.min(to, Math.round(v / axis.step) * axis.step)).toFixed(6));
  const drag = (on: boolean) => {
    dragging.current = on;
    onDrag(on);
  };
  const moveTo = (e: PointerEvent<SVGSVGElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    onMove(
      snap(sx.invert(e.clientX - box.left - LEFT), x, x0, x1),
      snap(sy.invert(e.clientY - box.top - TOP), y, y0, y1),
    );
  };
  const clearOfHandle = ([px, py]: readonly [number, number]) =>
    Math.abs(px - sx(x.value)) > 70 || Math.abs(py - sy(y.value)) > 24;
  const keys = (e: KeyboardEvent) => {
    const moves: Record<string, readonly [number, number]> = {
      ArrowLeft: [-1, 0],
      ArrowRight: [1, 0],
      ArrowUp: [0, 1],
      ArrowDown: [0, -1],
    };
    const by = moves[e.key];
    if (by) {
      e.preventDefault();
      onMove(snap(x.value + by[0] * x.step, x, x0, x1), snap(y.value + by[1] * y.step, y, y0, y1));
    }
  };
  return (
    <Frame ref={ref}>
      <svg
        width={width}
        height={height}
        role="group"
        aria-label={`Peak oil temperature over ${x.label} and ${y.label}`}
        onPointerDown={(e) => {
          drag(true);
          e.currentTarget.setPointerCapture(e.pointerId);
          moveTo(e);
        }}
        onPointerMove={(e) => dragging.current && moveTo(e)}
        onPointerUp={() => drag(false)}
        onPointerCancel={() => drag(false)}
      >
        <defs>
          <clipPath id="map-clip">
            <rect width={w} height={h} />
          </clipPath>
        </defs>
        <g transform={`translate(${LEFT},${TOP})`}>
          <g clipPath="url(#map-clip)">
            <rect width={w} height={h} fill={theme.sheet} />
            <path d={low?.path} fill={temperatureColour((targetLowC + targetHighC) / 2, theme)} opacity={0.3} />
            <path d={high?.path} fill={theme.sheet} />
            {envelope.map((c) => (
              <path key={c.level} d={c.path} fill="none" stroke={theme.ink} strokeDasharray="1 4" strokeWidth={1.2} />
            ))}
            {lines.map((c) => (
              <path
                key={c.level}
                d={c.path}
                fill="none"
                stroke={temperatureColour(c.level, theme)}
                strokeWidth={c.level % 10 === 0 ? 2 : 1}
              />
            ))}
            <path d={limit?.path} fill="none" stroke={theme.ink} strokeDasharray="7 4" strokeWidth={1.5} />
          </g>
          <rect width={w} height={h} fill="none" stroke={theme.line} />
          {lines
            .filter((c) => c.level % 10 === 0 && c.label && clearOfHandle(c.label))
            .map((c) => (
              <text key={c.level} x={c.label?.[0]} y={(c.label?.[1] ?? 0) + 4} textAnchor="middle" className="halo">
                {show(c.level, 'temperature')}
              </text>
            ))}
          {limit?.label && (
            <text x={w - 6} y={14} textAnchor="end" className="halo strong">
              – – limit {show(limitC, 'temperature')}
            </text>
          )}
          <text x={w} y={h + 31} textAnchor="end" className="strong">
            {x.label} →
          </text>
          <text x={-LEFT + 4} y={h + 31} className="strong">
            ↑ {y.label}
          </text>
          {sx.ticks(6).map((v) => (
            <text key={v} x={sx(v)} y={h + 15} textAnchor="middle">
              {axisTick(v, x, units)}
            </text>
          ))}
          {sy.ticks(5).map((v) => (
            <text key={v} x={-6} y={sy(v) + 4} textAnchor="end">
              {axisTick(v, y, units)}
            </text>
          ))}
          <g
            role="slider"
            tabIndex={0}
            aria-label={`${x.label} and ${y.label}`}
            aria-valuenow={x.value}
            aria-valuemin={x0}
            aria-valuemax={x1}
            aria-valuetext={`${x.label} ${number(x, x.value)}, ${y.label} ${number(y, y.value)}, peak ${show(peakC, 'temperature')}`}
            transform={`translate(${sx(x.value)},${sy(y.value)})`}
            onKeyDown={keys}
          >
            <circle r={18} fill="transparent" />
            <circle className="ring" r={9} fill="none" stroke={theme.ink} strokeWidth={2} />
            <circle r={4.5} fill={theme.ink} />
            <text
              x={sx(x.value) > w - 90 ? -14 : 14}
              y={sy(y.value) < 24 ? 18 : -8}
              textAnchor={sx(x.value) > w - 90 ? 'end' : 'start'}
              className="halo strong"
            >
              {show(peakC, 'temperature')}
            </text>
          </g>
        </g>
      </svg>
    </Frame>
  );
}

function axisTick(v: number, axis: MapAxis, units: Record<Quantity, 0 | 1>): string {
  return axis.quantity ? formatNumber(v, axis.quantity, units[axis.quantity]) : String(v);
}
