import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import styled, { useTheme } from 'styled-components';
import { usePreferences } from '../preferences/preferences';
import { Picture } from '../kit/layout';
import { formatNumber, symbol, type Quantity } from '../units/units';
import { useWidth } from './useWidth';

const Frame = styled(Picture)`
  & svg {
    touch-action: none;
  }
  & g[role='slider'] {
    outline: 0;
    cursor: grab;
  }
  & g[role='slider']:focus-visible .ring {
    stroke-width: 3;
  }
`;

export interface Axis {
  readonly quantity: Quantity;
  readonly label: string;
  readonly step: number;
}

interface Props {
  readonly label: string;
  readonly nodes: readonly { readonly x: number; readonly y: number; readonly name: string }[];
  readonly x: Axis;
  readonly y: Axis;
  readonly yFrom?: number;
  readonly selected: number;
  readonly onSelect: (node: number) => void;
  /** A node is wanted at another place; whoever owns the profile decides how far it goes. */
  readonly onMove: (node: number, x: number, y: number) => void;
  readonly height: number;
}

interface Grip {
  readonly node: number;
  readonly x: number;
  readonly y: number;
  readonly clientX: number;
  readonly clientY: number;
  readonly sx: ScaleLinear<number, number>;
  readonly sy: ScaleLinear<number, number>;
}

const LEFT = 52;
const RIGHT = 20;
const TOP = 12;
const FOOT = 34;

/** A profile over distance with nodes to drag: a lap's speed, a climb's height. */
export function Profile({ label, nodes, x, y, yFrom, selected, onSelect, onMove, height }: Props) {
  const theme = useTheme();
  const { units } = usePreferences();
  const [ref, width] = useWidth();
  // Where a node was taken hold of, and by which scale: what is drawn meanwhile changes neither, however late it is drawn.
  const grip = useRef<Grip>(undefined);
  // The scale holds still while a node is dragged: otherwise it would run away from the pointer.
  const [held, setHeld] = useState<{ end: number; low: number; high: number }>();
  const ys = nodes.map((n) => n.y);
  const lowest = yFrom ?? Math.min(...ys);
  const scale = held ?? {
    end: nodes[nodes.length - 1]?.x ?? 1,
    low: lowest,
    high: Math.max(...ys, lowest + 1),
  };
  const { end, low, high } = scale;
  const release = () => {
    grip.current = undefined;
    setHeld(undefined);
  };
  const sx = scaleLinear([0, end], [LEFT, width - RIGHT]);
  const sy = scaleLinear([low, high + (high - low) * 0.12], [height - FOOT, TOP]);
  const number = (v: number, a: Axis) =>
    `${formatNumber(v, a.quantity, units[a.quantity])} ${symbol(a.quantity, units[a.quantity])}`;
  const path = nodes.map((n, i) => `${i === 0 ? 'M' : 'L'}${sx(n.x)},${sy(n.y)}`).join(' ');
  const drag = (e: PointerEvent<SVGSVGElement>) => {
    const g = grip.current;
    if (g) {
      const snap = (v: number, step: number) => Math.round(v / step) * step;
      onMove(
        g.node,
        snap(g.sx.invert(g.sx(g.x) + e.clientX - g.clientX), x.step),
        snap(g.sy.invert(g.sy(g.y) + e.clientY - g.clientY), y.step),
      );
    }
  };
  const keys = (i: number) => (e: KeyboardEvent) => {
    const node = nodes[i];
    const moves: Record<string, readonly [number, number]> = {
      ArrowLeft: [-x.step, 0],
      ArrowRight: [x.step, 0],
      ArrowUp: [0, y.step],
      ArrowDown: [0, -y.step],
      PageUp: [0, 10 * y.step],
      PageDown: [0, -10 * y.step],
    };
    const by = moves[e.key];
    if (by && node) {
      e.preventDefault();
      onMove(i, node.x + by[0], node.y + by[1]);
    }
  };
  return (
    <Frame ref={ref}>
      <svg
        width={width}
        height={height}
        role="group"
        aria-label={label}
        onPointerMove={drag}
        onPointerUp={release}
        onPointerCancel={release}
      >
        {sy.ticks(4).map((v) => (
          <g key={v} transform={`translate(0,${sy(v)})`}>
            <line x1={LEFT} x2={width - RIGHT} stroke={theme.faint} />
            <text x={LEFT - 6} y={4} textAnchor="end">
              {formatNumber(v, y.quantity, units[y.quantity])}
            </text>
          </g>
        ))}
        {sx.ticks(Math.max(3, Math.round(width / 130))).map((v) => (
          <text key={v} x={sx(v)} y={height - 18} textAnchor="middle">
            {formatNumber(v, x.quantity, units[x.quantity])}
          </text>
        ))}
        <text x={width - RIGHT} y={height - 3} textAnchor="end" className="strong">
          {x.label}, {symbol(x.quantity, units[x.quantity])}
        </text>
        <text x={4} y={height - 3} className="strong">
          ↑ {y.label}, {symbol(y.quantity, units[y.quantity])}
        </text>
        <path d={path} fill="none" stroke={theme.ink} strokeWidth={1.8} strokeLinejoin="round" />
        {nodes.map((n, i) => (
          <g
            key={i}
            role="slider"
            tabIndex={i === selected ? 0 : -1}
            aria-label={n.name}
            aria-valuenow={Math.round(n.y * 10) / 10}
            aria-valuetext={`${number(n.y, y)} at ${number(n.x, x)}`}
            transform={`translate(${sx(n.x)},${sy(n.y)})`}
            onFocus={() => onSelect(i)}
            onKeyDown={keys(i)}
            onPointerDown={(e) => {
              grip.current = { node: i, x: n.x, y: n.y, clientX: e.clientX, clientY: e.clientY, sx, sy };
              setHeld(scale);
              onSelect(i);
              (e.currentTarget.ownerSVGElement as SVGSVGElement).setPointerCapture(e.pointerId);
            }}
          >
            <circle r={13} fill="transparent" />
            <circle
              className="ring"
              r={i === selected ? 7 : 4.5}
              fill={i === selected ? theme.ink : theme.sheet}
              stroke={theme.ink}
              strokeWidth={1.5}
            />
          </g>
        ))}
      </svg>
    </Frame>
  );
}
