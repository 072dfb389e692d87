import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { memo, useState } from 'react';
import { useTheme } from 'styled-components';
import type { CarDocument, OutcomeDocument } from '../api/client';
import { usePreferences } from '../preferences/preferences';
import { temperatureColour } from '../preferences/theme';
import { Picture } from '../kit/layout';
import { useWidth } from './useWidth';

const LEFT = 44;
const RIGHT = 76;
const LANE = 16;

interface Props {
  readonly outcome: OutcomeDocument;
  readonly car: CarDocument;
  readonly height: number;
  readonly cooled: boolean;
}

/** The session in time: oil and coolant over the target band, thermostat and fan as lanes below. */
export const TimeTrace = memo(function TimeTrace({ outcome, car, height, cooled }: Props) {
  const theme = useTheme();
  const { show, units } = usePreferences();
  const [ref, width] = useWidth();
  const [at, setAt] = useState<number>();
  const { traces } = outcome;
  const minutes = traces.timeSeconds.map((s) => s / 60);
  const end = minutes[minutes.length - 1] ?? 1;
  const lanes = [
    ...(cooled ? [{ name: 'Thermostat', values: traces.lift }] : []),
    ...(traces.fan.some((f) => f > 0) ? [{ name: 'Fan', values: traces.fan }] : []),
  ];
  const plot = height - 26 - lanes.length * (LANE + 6);
  const all = [...traces.oilC, ...traces.coolantC, car.limits.limitC, car.limits.targetLowC];
  const bottom = Math.floor((Math.min(...all) - 3) / 10) * 10;
  const top = Math.ceil((Math.max(...all) + 3) / 10) * 10;
  const x = scaleLinear([0, end], [LEFT, width - RIGHT]);
  const y = scaleLinear([bottom, top], [plot, 6]);
  const path = (values: readonly number[]) =>
    line<number>(
      (_, i) => x(minutes[i] ?? 0),
      (v) => y(v),
    )([...values]) ?? '';
  const t = (c: number) => show(c, 'temperature');
  const tickScale = scaleLinear(
    [bottom, top].map((c) => (units.temperature === 0 ? c : c * 1.8 + 32)),
    [plot, 6],
  );
  const i =
    at === undefined
      ? undefined
      : Math.max(
          0,
          minutes.findIndex((m) => m >= at),
        );
  const last = traces.oilC.length - 1;
  const index = i ?? last;
  const oil = traces.oilC[index] ?? 0;
  const coolant = traces.coolantC[index] ?? 0;
  const oilY = y(oil);
  const coolantY = Math.abs(y(coolant) - oilY) < 30 ? (y(coolant) > oilY ? oilY + 30 : oilY - 30) : y(coolant);
  const summary = `Oil temperature over ${Math.round(end)} minutes: peak ${t(outcome.figures.peakC)}, plateau ${t(outcome.figures.plateauC)}, at the end ${t(traces.oilC[last] ?? 0)}.`;

  return (
    <Picture ref={ref}>
      <svg
        width={width}
        height={height}
        style={{ touchAction: 'pan-y' }}
        role="img"
        aria-label={summary}
        onPointerMove={(e) => setAt(x.invert(e.clientX - e.currentTarget.getBoundingClientRect().left))}
        onPointerLeave={() => setAt(undefined)}
      >
        <defs>
          <linearGradient id="trace-scale" gradientUnits="userSpaceOnUse" x1={0} x2={0} y1={y(top)} y2={y(bottom)}>
            {Array.from({ length: 9 }, (_, k) => (
              <stop key={k} offset={k / 8} stopColor={temperatureColour(top + ((bottom - top) * k) / 8, theme)} />
            ))}
          </linearGradient>
        </defs>
        <rect
          x={LEFT}
          width={Math.max(0, width - RIGHT - LEFT)}
          y={y(car.limits.targetHighC)}
          height={Math.max(0, y(car.limits.targetLowC) - y(car.limits.targetHighC))}
          fill={temperatureColour((car.limits.targetLowC + car.limits.targetHighC) / 2, theme)}
          opacity={0.18}
        />
        {tickScale.ticks(5).map((v) => (
          <g key={v} transform={`translate(0,${tickScale(v)})`}>
            <line x1={LEFT} x2={width - RIGHT} stroke={theme.faint} />
            <text x={LEFT - 6} y={4} textAnchor="end">
              {v}
            </text>
          </g>
        ))}
        {x.ticks(Math.max(3, Math.round(width / 120))).map((v) => (
          <text key={v} x={x(v)} y={height - 6} textAnchor="middle">
            {v === 0 ? '0' : `${v} min`}
          </text>
        ))}
        {traces.phases
          .filter((p) => p.kind === 'COOL_DOWN' || p.kind === 'PIT' || p.kind === 'CLIMB')
          .map((p) => (
            <g key={`${p.name}${p.startSeconds}`} transform={`translate(${x(p.startSeconds / 60)},0)`}>
              <line y1={6} y2={plot} stroke={theme.line} strokeDasharray="2 4" />
              <text x={p.kind === 'CLIMB' ? 4 : -4} y={plot - 5} textAnchor={p.kind === 'CLIMB' ? 'start' : 'end'}>
                {p.name}
              </text>
            </g>
          ))}
        <path d={path(traces.coolantC)} fill="none" stroke={theme.line} strokeWidth={1.2} />
        <path d={path(traces.oilC)} fill="none" stroke="url(#trace-scale)" strokeWidth={3} strokeLinejoin="round" />
        <g transform={`translate(0,${y(car.limits.limitC)})`}>
          <line x1={LEFT} x2={width - RIGHT} stroke={theme.ink} strokeDasharray="7 4" />
          <text x={width - RIGHT - 4} y={-5} textAnchor="end" className="strong halo">
            Limit {t(car.limits.limitC)}
          </text>
        </g>
        {i !== undefined && (
          <line x1={x(minutes[i] ?? 0)} x2={x(minutes[i] ?? 0)} y1={6} y2={height - 22} stroke={theme.ink} />
        )}
        <text x={width - RIGHT + 8} y={oilY - 2} className="strong">
          Oil
        </text>
        <text x={width - RIGHT + 8} y={oilY + 12} className="strong">
          {t(oil)}
        </text>
        <text x={width - RIGHT + 8} y={coolantY - 2}>
          Coolant
        </text>
        <text x={width - RIGHT + 8} y={coolantY + 12}>
          {t(coolant)}
        </text>
        {lanes.map((lane, k) => {
          const y0 = plot + 12 + k * (LANE + 6) + LANE;
          const points = lane.values.map((v, j) => `${x(minutes[j] ?? 0)},${y0 - v * LANE}`).join(' ');
          return (
            <g key={lane.name}>
              <rect x={LEFT} y={y0 - LANE} width={Math.max(0, width - RIGHT - LEFT)} height={LANE} fill={theme.press} />
              <polygon points={`${x(0)},${y0} ${points} ${x(end)},${y0}`} fill={theme.soft} />
              <text x={width - RIGHT + 8} y={y0 - 4}>
                {lane.name}
              </text>
            </g>
          );
        })}
      </svg>
    </Picture>
  );
});
