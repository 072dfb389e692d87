import { useTheme } from 'styled-components';
import type { Schemas } from '../api/client';
import { Picture } from '../kit/layout';
import { usePreferences } from '../preferences/preferences';
import { useWidth } from './useWidth';

const SIDE = 8;
const TOP = 8;
const FOOT = 22;
const MOST_HEIGHT = 200;
const BESIDE = 14;

type Point = Schemas['FlatPoint'];

/** A panel before it is bent, to scale, seen from its upper face: outline, holes and bend lines. */
export function SheetPicture({ mark, flat }: { mark: string; flat: Schemas['FlatSheetDocument'] }) {
  const theme = useTheme();
  const { show } = usePreferences();
  const [ref, width] = useWidth();
  const scale = Math.min((width - 2 * SIDE) / flat.widthMm, MOST_HEIGHT / flat.heightMm);
  const x = (p: Point) => SIDE + p.xMm * scale;
  const y = (p: Point) => TOP + (flat.heightMm - p.yMm) * scale;
  // A flange is narrow and has holes: its bend is named on the side where the sheet goes on.
  const middle = {
    x: flat.outline.reduce((sum, p) => sum + x(p), 0) / flat.outline.length,
    y: flat.outline.reduce((sum, p) => sum + y(p), 0) / flat.outline.length,
  };
  const inside = (f: Schemas['FlatFold']) => {
    const at = { x: (x(f.from) + x(f.to)) / 2, y: (y(f.from) + y(f.to)) / 2 };
    const far = Math.hypot(middle.x - at.x, middle.y - at.y) || 1;
    return { x: at.x + (BESIDE * (middle.x - at.x)) / far, y: at.y + (BESIDE * (middle.y - at.y)) / far + 4 };
  };
  const size = `${show(flat.widthMm, 'length')} by ${show(flat.heightMm, 'length')}`;
  return (
    <Picture ref={ref}>
      <svg
        width={width}
        height={TOP + flat.heightMm * scale + FOOT}
        role="img"
        aria-label={`Pattern of panel ${mark}: ${size}, ${flat.folds.length} bends`}
      >
        <polygon
          points={flat.outline.map((p) => `${x(p)},${y(p)}`).join(' ')}
          fill={theme.faint}
          stroke={theme.ink}
          strokeWidth={1.6}
        />
        {flat.folds.map((f, i) => (
          <g key={i}>
            <line
              x1={x(f.from)}
              x2={x(f.to)}
              y1={y(f.from)}
              y2={y(f.to)}
              stroke={theme.ink}
              strokeDasharray="8 3 2 3"
            />
            <text {...inside(f)} textAnchor="middle" className="halo">
              {f.deg > 0 ? 'up' : 'down'} {show(Math.abs(f.deg), 'angle')}
            </text>
          </g>
        ))}
        {flat.holes.map((h, i) => (
          <circle
            key={i}
            cx={x(h)}
            cy={y(h)}
            r={Math.max(1.5, (flat.holeMm / 2) * scale)}
            fill={theme.paper}
            stroke={theme.ink}
            strokeWidth={1.4}
          />
        ))}
        <text x={SIDE} y={TOP + flat.heightMm * scale + 16} className="strong">
          {mark}: {size}
        </text>
      </svg>
    </Picture>
  );
}
