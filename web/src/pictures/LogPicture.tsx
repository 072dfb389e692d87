import { useQuery } from '@tanstack/react-query';
import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import { useTheme } from 'styled-components';
import type { Schemas } from '../api/client';
import { queries } from '../api/queries';
import { usePreferences } from '../preferences/preferences';
import { temperatureColour } from '../preferences/theme';
import { Button, Muted, Row } from '../kit/kit';
import { Picture } from '../kit/layout';
import type { Quantity } from '../units/units';
import { useWidth } from './useWidth';

type Channel = Schemas['LogDocument']['channels'][number];

/** Points of a channel that a wide screen can show. */
const POINTS = 2400;
const LEFT = 58;
const RIGHT = 12;
const FOOT = 24;

/** Channels that share a scale stand in one band of the picture. */
const BANDS: readonly { name: string; channels: readonly Channel[]; quantity?: Quantity; suffix?: string }[] = [
  { name: 'Temperatures', channels: ['OIL', 'OIL_RETURN', 'COOLANT', 'INTAKE', 'AMBIENT'], quantity: 'temperature' },
  { name: 'Speed', channels: ['SPEED'], quantity: 'speed' },
  { name: 'Engine speed', channels: ['RPM'], suffix: 'rpm' },
  { name: 'Oil pressure', channels: ['PRESSURE'], quantity: 'pressure' },
  { name: 'Air across the core', channels: ['CORE_AIR'], suffix: 'Pa' },
  { name: 'Height', channels: ['ELEVATION'], quantity: 'distance' },
];

const DASHES: Partial<Record<Channel, string>> = {
  OIL_RETURN: '6 3',
  COOLANT: '2 3',
  INTAKE: '8 3 2 3',
  AMBIENT: '1 4',
};

const NAMES: Partial<Record<Channel, string>> = {
  OIL: 'oil',
  OIL_RETURN: 'behind the cooler',
  COOLANT: 'coolant',
  INTAKE: 'intake',
  AMBIENT: 'outside',
};

/** A log, band under band, thinned by the server to what a screen can show; parts of it can be looked at more closely. */
export function LogPicture({ id, height }: { id: string; height: number }) {
  const theme = useTheme();
  const { show } = usePreferences();
  const [ref, width] = useWidth();
  const [window, setWindow] = useState<readonly [number, number]>();
  const traces = useQuery(queries.traces(id, POINTS, window));
  if (traces.error) {
    return <Muted>This log cannot be shown: {traces.error.message}</Muted>;
  }
  if (!traces.data) {
    return <Muted style={{ height }}>Drawing…</Muted>;
  }
  const { channels, series } = traces.data;
  const time = (series[0] ?? []) as number[];
  const from = time[0] ?? 0;
  const to = time[time.length - 1] ?? 1;
  const x = scaleLinear([from, to], [LEFT, width - RIGHT]);
  const bands = BANDS.filter((b) => b.channels.some((c) => channels.includes(c)));
  const weights = bands.map((b) => (b.name === 'Temperatures' ? 2 : 1));
  const all = weights.reduce((s, w) => s + w, 0);
  const room = height - FOOT;
  const starts = weights.map((_, i) => (weights.slice(0, i).reduce((s, w) => s + w, 0) / all) * room);
  const span = to - from;
  const look = (a: number, b: number) => setWindow([a, b]);
  return (
    <Picture ref={ref}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`The log from ${Math.round(from)} to ${Math.round(to)} s`}
      >
        {bands.map((band, i) => {
          const there = band.channels.filter((c) => channels.includes(c));
          const values = there.map((c) => (series[channels.indexOf(c)] ?? []) as (number | null)[]);
          const flat = values.flat().filter((v): v is number => v !== null);
          const low = Math.min(...flat);
          const high = Math.max(...flat, low + 1);
          const top = (starts[i] ?? 0) + 16;
          const bottom = (starts[i] ?? 0) + ((weights[i] ?? 1) / all) * room - 6;
          const y = scaleLinear([low, high], [bottom, top]);
          const text = (v: number) =>
            band.quantity ? show(v, band.quantity) : `${Math.round(v)} ${band.suffix ?? ''}`;
          return (
            <g key={band.name}>
              <line x1={LEFT} x2={width - RIGHT} y1={bottom} y2={bottom} stroke={theme.faint} />
              <text x={LEFT} y={top - 5} className="strong">
                {band.name}
                {there.length > 1 && `: ${there.map((c) => NAMES[c]).join(', ')}`}
              </text>
              <text x={LEFT - 6} y={top + 8} textAnchor="end">
                {text(high)}
              </text>
              <text x={LEFT - 6} y={bottom} textAnchor="end">
                {text(low)}
              </text>
              {values.map((v, k) => {
                const channel = there[k] as Channel;
                return (
                  <path
                    key={channel}
                    d={lines(time, v, x, y)}
                    fill="none"
                    stroke={
                      band.quantity === 'temperature'
                        ? temperatureColour(Math.max(0, ...v.map((t) => t ?? 0)), theme)
                        : theme.ink
                    }
                    strokeWidth={channel === 'OIL' ? 1.8 : 1}
                    strokeDasharray={DASHES[channel]}
                  />
                );
              })}
            </g>
          );
        })}
        {x.ticks(Math.max(3, Math.round(width / 130))).map((v) => (
          <text key={v} x={x(v)} y={height - 6} textAnchor="middle">
            {span > 300 ? `${Math.round(v / 6) / 10} min` : `${Math.round(v * 10) / 10} s`}
          </text>
        ))}
      </svg>
      <Row>
        <Button onPress={() => look(from + span / 4, to - span / 4)}>Zoom in</Button>
        <Button isDisabled={!window} onPress={() => look(from - span / 2, to - span / 2)}>
          Earlier
        </Button>
        <Button isDisabled={!window} onPress={() => look(from + span / 2, to + span / 2)}>
          Later
        </Button>
        <Button isDisabled={!window} onPress={() => setWindow(undefined)}>
          All of it
        </Button>
      </Row>
    </Picture>
  );
}

/** A path with a gap wherever there is no value. */
export function lines(
  time: readonly number[],
  values: readonly (number | null)[],
  x: (v: number) => number,
  y: (v: number) => number,
): string {
  let pen = 'M';
  let path = '';
  values.forEach((v, i) => {
    if (v === null) {
      pen = 'M';
    } else {
      path += `${pen}${x(time[i] ?? 0).toFixed(1)},${y(v).toFixed(1)}`;
      pen = 'L';
    }
  });
  return path;
}
