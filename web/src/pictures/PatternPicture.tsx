import { useTheme } from 'styled-components';
import type { Schemas } from '../api/client';
import { Picture } from '../kit/layout';
import { usePreferences } from '../preferences/preferences';
import { useWidth } from './useWidth';

const SIDE = 8;
const TOP = 22;
const FOOT = 22;
const MOST_HEIGHT = 150;

/** A bracket before it is bent, to scale, seen from its upper face: holes, and each bend with its way and its angle. */
export function PatternPicture({ mark, flat }: { mark: string; flat: Schemas['FlatDocument'] }) {
  const theme = useTheme();
  const { show } = usePreferences();
  const [ref, width] = useWidth();
  const scale = Math.min((width - 2 * SIDE) / flat.lengthMm, MOST_HEIGHT / flat.widthMm);
  const x = (mm: number) => SIDE + mm * scale;
  const y = (mm: number) => TOP + (flat.widthMm - mm) * scale;
  const size = `${show(flat.lengthMm, 'length')} by ${show(flat.widthMm, 'length')}`;
  return (
    <Picture ref={ref}>
      <svg
        width={width}
        height={TOP + flat.widthMm * scale + FOOT}
        role="img"
        aria-label={`Pattern of bracket ${mark}: ${size}, ${flat.bends.length} bends`}
      >
        <rect
          x={x(0)}
          y={y(flat.widthMm)}
          width={flat.lengthMm * scale}
          height={flat.widthMm * scale}
          fill={theme.faint}
          stroke={theme.ink}
          strokeWidth={1.6}
        />
        {flat.bends.map((b) => (
          <g key={b.atMm}>
            <line
              x1={x(b.atMm)}
              x2={x(b.atMm)}
              y1={y(0)}
              y2={y(flat.widthMm)}
              stroke={theme.ink}
              strokeDasharray="8 3 2 3"
            />
            <text x={x(b.atMm)} y={TOP - 8} textAnchor="middle">
              {b.deg > 0 ? 'up' : 'down'} {show(Math.abs(b.deg), 'angle')} at {show(b.atMm, 'length')}
            </text>
          </g>
        ))}
        {flat.holes.map((h) => (
          <circle
            key={h.xMm}
            cx={x(h.xMm)}
            cy={y(h.yMm)}
            r={(h.holeMm / 2) * scale}
            fill={theme.paper}
            stroke={theme.ink}
            strokeWidth={1.4}
          />
        ))}
        <text x={x(0)} y={y(0) + 15}>
          car
        </text>
        <text x={x(flat.lengthMm / 2)} y={y(0) + 15} textAnchor="middle" className="strong">
          {mark}: {size}
        </text>
        <text x={x(flat.lengthMm)} y={y(0) + 15} textAnchor="end">
          core
        </text>
      </svg>
    </Picture>
  );
}
