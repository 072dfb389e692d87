import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { memo } from 'react';
import { useTheme } from 'styled-components';
import type { OutcomeDocument } from '../../api/client';
import { usePresets } from '../../bench/presets';
import { usePreferences } from '../../preferences/preferences';
import { temperatureColour } from '../../preferences/theme';
import { Picture } from '../../kit/layout';
import { formatNumber, formatTime } from '../../units/units';
import { useWidth } from '../../pictures/useWidth';

const LEFT = 34;
const FOOT = 24;
const TOP = 34;

/** A cold start into a cool day's road, with this design and without a cooler: a big core fails there. */
export const ColdRoad = memo(function ColdRoad({ outcome, height }: { outcome: OutcomeDocument; height: number }) {
  const theme = useTheme();
  const { show, units } = usePreferences();
  const { usual } = usePresets();
  const [ref, width] = useWidth();
  const { road } = outcome;
  const end = road.timeSeconds[road.timeSeconds.length - 1] ?? 1;
  const x = scaleLinear([0, end], [LEFT, width - 6]);
  const y = scaleLinear([0, Math.max(100, ...road.oilTraceC, ...road.bareTraceC)], [height - FOOT, TOP]);
  const path = (values: readonly number[]) =>
    line<number>(
      (_, i) => x(road.timeSeconds[i] ?? 0),
      (v) => y(v),
    )([...values]) ?? '';
  const reaches =
    road.to65Seconds === undefined ? `never ${show(usual.warmC, 'temperature')}` : formatTime(road.to65Seconds);
  return (
    <Picture ref={ref}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`Cold road: oil ends at ${show(road.oilC, 'temperature')}; to where it may be loaded ${reaches}`}
      >
        <text x={0} y={12} className="strong">
          Cold road, {show(80, 'speed')}, {show(8, 'temperature')}
        </text>
        <text x={0} y={27}>
          loadable after {reaches}
        </text>
        {[usual.warmC, usual.dryC].map((c) => (
          <g key={c}>
            <line x1={LEFT} x2={width - 6} y1={y(c)} y2={y(c)} stroke={theme.line} strokeDasharray="3 3" />
            <text x={LEFT - 5} y={y(c) + 4} textAnchor="end">
              {formatNumber(c, 'temperature', units.temperature)}
            </text>
          </g>
        ))}
        <path d={path(road.bareTraceC)} fill="none" stroke={theme.line} strokeWidth={1.2} strokeDasharray="5 3" />
        <path d={path(road.oilTraceC)} fill="none" stroke={temperatureColour(road.oilC, theme)} strokeWidth={2.5} />
        <text x={LEFT} y={height - 6}>
          0
        </text>
        <text x={width - 6} y={height - 6} textAnchor="end">
          {Math.round(end / 60)} min
        </text>
        <text x={width - 6} y={y(road.oilC) + 22} textAnchor="end" className="strong halo">
          {show(road.oilC, 'temperature')}
        </text>
        <text x={(LEFT + width) / 2} y={height - 6} textAnchor="middle">
          – – no cooler
        </text>
      </svg>
    </Picture>
  );
});
