import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import { useTheme } from 'styled-components';
import { usePreferences } from '../preferences/preferences';
import { temperatureColour } from '../preferences/theme';
import { useWidth } from './useWidth';

interface Limits {
  readonly targetLowC: number;
  readonly targetHighC: number;
  readonly limitC: number;
}

interface Props {
  readonly limits: Limits;
  readonly peakC: number;
  readonly lowC?: number | undefined;
  readonly highC?: number | undefined;
  /** Ends of the ruler, the same for all that are to be compared. */
  readonly from: number;
  readonly to: number;
  /** Figures at the marks; without them it is read beside another one. */
  readonly named?: boolean;
}

/** Ends that hold every interval, the band and the limit, in tens. */
export function rulerEnds(limits: Limits, figures: readonly number[]): readonly [number, number] {
  const all = [limits.targetLowC, limits.limitC, ...figures];
  return [Math.floor((Math.min(...all) - 5) / 10) * 10, Math.ceil((Math.max(...all) + 5) / 10) * 10];
}

/** Where the peak lies, with its interval, against the band and the limit. */
export function IntervalRuler({ limits, peakC, lowC, highC, from, to, named }: Props) {
  const { show } = usePreferences();
  const theme = useTheme();
  const [ref, width] = useWidth();
  const x = scaleLinear([from, to], [6, Math.max(40, width - 6)]).clamp(true);
  const t = (c: number) => show(c, 'temperature', 0);
  const scale = useId();
  const y = named ? 36 : 12;
  const said =
    lowC !== undefined && highC !== undefined
      ? `Peak ${t(peakC)}, 8 times in 10 between ${t(lowC)} and ${t(highC)}`
      : `Peak ${t(peakC)}`;
  return (
    // Its own width asks for nothing: a table gives it what there is.
    <div ref={ref} style={{ contain: 'inline-size', width: '100%' }}>
      <svg
        width={width}
        height={named ? 66 : 24}
        role="img"
        aria-label={`${said}; target to ${t(limits.targetHighC)}, limit ${t(limits.limitC)}`}
        style={{ display: 'block', overflow: 'visible', fontSize: 12, fontVariantNumeric: 'tabular-nums' }}
      >
        <defs>
          <linearGradient id={scale} x1={x(from)} x2={x(to)} gradientUnits="userSpaceOnUse">
            {Array.from({ length: 9 }, (_, i) => (
              <stop key={i} offset={i / 8} stopColor={temperatureColour(from + ((to - from) * i) / 8, theme)} />
            ))}
          </linearGradient>
        </defs>
        <line x1={x(from)} x2={x(to)} y1={y} y2={y} stroke={theme.faint} strokeWidth={6} />
        {lowC !== undefined && highC !== undefined && (
          <line x1={x(lowC)} x2={x(highC)} y1={y} y2={y + 0.01} stroke={`url(#${scale})`} strokeWidth={6} />
        )}
        <rect
          x={x(limits.targetLowC)}
          width={x(limits.targetHighC) - x(limits.targetLowC)}
          y={y - 8}
          height={16}
          fill="none"
          stroke={theme.ink}
          strokeDasharray="4 3"
        />
        <line x1={x(limits.limitC)} x2={x(limits.limitC)} y1={y - 11} y2={y + 11} stroke={theme.ink} strokeWidth={2} />
        <path d={`M${x(peakC)},${y - 5} l-5,-8 h10 z`} fill={theme.ink} />
        {named && (
          <g fill={theme.ink}>
            <text x={x(peakC)} y={y - 20} textAnchor="middle" fontWeight={650}>
              {t(peakC)}
            </text>
            <text x={x(limits.targetHighC)} y={y + 24} textAnchor="end" fill={theme.soft}>
              target {t(limits.targetHighC)}
            </text>
            <text x={x(limits.limitC) + 2} y={y + 24} textAnchor="start" fill={theme.soft}>
              limit {t(limits.limitC)}
            </text>
          </g>
        )}
      </svg>
    </div>
  );
}
