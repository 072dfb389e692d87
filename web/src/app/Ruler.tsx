import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import styled, { useTheme } from 'styled-components';
import { usePresets } from '../bench/presets';
import { useBench } from '../bench/workbench';
import { usePreferences } from '../preferences/preferences';
import { temperatureColour } from '../preferences/theme';
import { useWidth } from '../pictures/useWidth';
import { spread } from '../pictures/spread';
import { odds, percent } from '../words/odds';
import { openingOf, type Mark } from './ruleMarks';

const Told = styled.p`
  margin: 0;
  height: 22px;
  font-size: 13px;
  color: ${(p) => p.theme.soft};
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
`;

const LOW = 0;
const HIGH = 170;
const HEIGHT = 98;
const BAND_TOP = 44;
const BAND = 10;

/** The ruler with its marks, each where its temperature is; a press opens what it is. */
export function Ruler({ marks, onOpen }: { marks: readonly Mark[]; onOpen: (mark: Mark) => void }) {
  const { car, duty, design, interval } = useBench();
  const { show, units } = usePreferences();
  const theme = useTheme();
  const [ref, width] = useWidth();
  const [told, setTold] = useState<string>();
  const { usual } = usePresets();
  const thermostat = openingOf(car, design, usual.thermostatSpanK);
  const bottom = Math.min(LOW, duty.ambientC - 5);
  const x = scaleLinear([bottom, HIGH], [0, width]).clamp(true);
  const t = (celsius: number) => show(celsius, 'temperature');
  const place = (above: boolean) => {
    const row = marks.filter((m) => m.above === above).sort((a, b) => a.at - b.at);
    const lefts = spread(
      row.map((m) => x(m.at)),
      row.map((m) => Math.max(m.name.length, t(m.at).length) * 6.6 + 10),
      0,
      width,
    );
    return row.map((m, i) => ({ ...m, label: lefts[i] ?? 0 }));
  };
  const ticks = scaleLinear(
    [bottom, HIGH].map((c) => (units.temperature === 0 ? c : c * 1.8 + 32)),
    [0, width],
  ).ticks(Math.max(4, Math.round(width / 90)));
  const stops = Array.from({ length: 18 }, (_, i) => bottom + ((HIGH - bottom) * i) / 17);

  return (
    <>
      <div ref={ref}>
        <svg width={width} height={HEIGHT} role="group" aria-label="Temperatures of this design">
          <defs>
            <linearGradient id="rule-scale">
              {stops.map((c, i) => (
                <stop key={c} offset={i / 17} stopColor={temperatureColour(c, theme)} />
              ))}
            </linearGradient>
          </defs>
          <rect x={0} y={BAND_TOP} width={width} height={BAND} fill="url(#rule-scale)" />
          {thermostat && (
            <line
              x1={x(thermostat.opensC)}
              x2={x(thermostat.fullC)}
              y1={BAND_TOP + BAND + 4}
              y2={BAND_TOP + BAND + 4}
              stroke={theme.ink}
              strokeWidth={3}
            />
          )}
          <g>
            <title>{`Target band, ${t(car.limits.targetLowC)} to ${t(car.limits.targetHighC)}`}</title>
            <rect
              x={x(car.limits.targetLowC)}
              width={Math.max(0, x(car.limits.targetHighC) - x(car.limits.targetLowC))}
              y={BAND_TOP - 5}
              height={BAND + 10}
              fill="none"
              stroke={theme.ink}
              strokeWidth={1.5}
              strokeDasharray="4 3"
            />
          </g>
          {ticks.map((value) => {
            const c = units.temperature === 0 ? value : (value - 32) / 1.8;
            return (
              <g key={value} transform={`translate(${x(c)},0)`}>
                <line y1={BAND_TOP + 2} y2={BAND_TOP + BAND - 2} stroke={theme.sheet} />
                <text className="tick" y={BAND_TOP + BAND - 1} x={4} style={{ fontSize: 9, fill: theme.sheet }}>
                  {value}
                </text>
              </g>
            );
          })}
          {[...place(true), ...place(false)].map((m) => {
            const at = x(m.at);
            const text = `${m.name} ${show(m.at, 'temperature', 1)}`;
            const y = m.above ? BAND_TOP : BAND_TOP + BAND;
            const direction = m.above ? -1 : 1;
            return (
              <g
                key={m.key}
                className="mark"
                style={{ transform: `translateX(${at}px)` }}
                tabIndex={0}
                role="button"
                aria-label={`${text}. ${m.told}`}
                onMouseEnter={() => setTold(`${text}. ${m.told}`)}
                onMouseLeave={() => setTold(undefined)}
                onFocus={() => setTold(`${text}. ${m.told}`)}
                onBlur={() => setTold(undefined)}
                onClick={() => onOpen(m)}
                onKeyDown={(e) => {
                  if (e.key === 'Enter' || e.key === ' ') {
                    e.preventDefault();
                    onOpen(m);
                  }
                }}
              >
                {m.low !== undefined && m.high !== undefined && (
                  <path
                    d={`M${x(m.low) - at},${y - (m.strong ? 9 : 2)} v-6 m0,3 H${x(m.high) - at} m0,-3 v6`}
                    stroke={theme.ink}
                    fill="none"
                    strokeWidth={m.strong ? 1.6 : 1}
                  />
                )}
                <path
                  d={`M0,${y} l-5,${direction * 8} h10 z`}
                  fill={m.strong || !m.above ? theme.ink : theme.sheet}
                  stroke={theme.ink}
                  strokeDasharray={m.faint ? '2 2' : undefined}
                />
                <path
                  d={`M0,${y + direction * 8} L${m.label - at},${y + direction * 15}`}
                  stroke={theme.line}
                  fill="none"
                />
                <rect
                  className="hit"
                  x={m.label - at - 30}
                  y={m.above ? 0 : y + 14}
                  width={60}
                  height={30}
                  fill="transparent"
                />
                <text x={m.label - at} y={m.above ? 11 : y + 26} textAnchor="middle" className="tick">
                  {m.name}
                </text>
                <text
                  x={m.label - at}
                  y={m.above ? 25 : y + 40}
                  textAnchor="middle"
                  style={{ fontWeight: m.strong ? 700 : 500 }}
                >
                  {t(m.at)}
                </text>
              </g>
            );
          })}
        </svg>
      </div>
      <Told aria-live="polite">
        {told ??
          `Estimates${interval ? `: ${odds(interval.oddsUnderLimit)} sessions like this stay under ${t(car.limits.limitC)} (${percent(interval.oddsUnderLimit)})` : ''}. The maker's figures come first.`}
      </Told>
    </>
  );
}
