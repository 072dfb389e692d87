import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { memo } from 'react';
import { useTheme } from 'styled-components';
import type { Schemas } from '../api/client';
import { usePreferences } from '../preferences/preferences';
import { formatNumber, symbol } from '../units/units';
import { Picture } from '../kit/layout';
import { useWidth } from './useWidth';

const LEFT = 46;
const RIGHT = 16;
const FOOT = 34;
const TOP = 22;

interface Props {
  readonly still: readonly Schemas['AirAnswer'][];
  /** The same with the core's own fan running. */
  readonly driven: readonly Schemas['AirAnswer'][] | undefined;
  readonly height: number;
}

/** Air on the core's face over road speed, with and without its fan. */
export const AirCurve = memo(function AirCurve({ still, driven, height }: Props) {
  const theme = useTheme();
  const { units } = usePreferences();
  const [ref, width] = useWidth();
  const top = Math.max(2, ...still.map((a) => a.faceSpeedMPerS), ...(driven ?? []).map((a) => a.faceSpeedMPerS));
  const end = still[still.length - 1]?.speedKmh ?? 1;
  const x = scaleLinear([0, end], [LEFT, width - RIGHT]);
  const y = scaleLinear([0, top], [height - FOOT, TOP]);
  const path = (answers: readonly Schemas['AirAnswer'][]) =>
    line<Schemas['AirAnswer']>(
      (a) => x(a.speedKmh),
      (a) => y(a.faceSpeedMPerS),
    )([...answers]) ?? '';
  const last = still[still.length - 1]?.faceSpeedMPerS ?? 0;
  return (
    <Picture ref={ref}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`Air on the face over road speed: ${formatNumber(last, 'airSpeed', units.airSpeed)} ${symbol('airSpeed', units.airSpeed)} at ${formatNumber(end, 'speed', units.speed)} ${symbol('speed', units.speed)}`}
      >
        <text x={LEFT} y={12} className="strong">
          Air on the face, {symbol('airSpeed', units.airSpeed)}
        </text>
        {y.ticks(4).map((v) => (
          <g key={v} transform={`translate(0,${y(v)})`}>
            <line x1={LEFT} x2={width - RIGHT} stroke={theme.faint} />
            <text x={LEFT - 6} y={4} textAnchor="end">
              {formatNumber(v, 'airSpeed', units.airSpeed, top < 6 ? 1 : 0)}
            </text>
          </g>
        ))}
        {x.ticks(6).map((v) => (
          <text key={v} x={x(v)} y={height - FOOT + 16} textAnchor="middle">
            {formatNumber(v, 'speed', units.speed)}
          </text>
        ))}
        <text x={width - RIGHT} y={height - 3} textAnchor="end" className="strong">
          Road speed, {symbol('speed', units.speed)} →
        </text>
        {driven && <path d={path(driven)} fill="none" stroke={theme.ink} strokeWidth={1.6} strokeDasharray="6 4" />}
        <path d={path(still)} fill="none" stroke={theme.ink} strokeWidth={2.4} />
        {driven && (
          <text x={LEFT + 8} y={y(driven[0]?.faceSpeedMPerS ?? 0) - 6} className="strong">
            – – fan running
          </text>
        )}
      </svg>
    </Picture>
  );
});
