import { useState } from 'react';
import styled from 'styled-components';
import { api, read, type Schemas } from '../../api/client';
import { range } from '../../api/descriptions';
import { usePreferences } from '../../preferences/preferences';
import { Button, Fold, Heading, Muted, Pick, QuantityField, Row } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import type { Channel } from '../../api/live';
import { useLogger, useShown } from './useLive';
import { Figure } from '../figure/Figure';
import { when } from '../../words/moments';

type Fault = NonNullable<Schemas['LoggerChoice']['fault']>;
type Turning = Schemas['EngineCommand']['turning'];

const FAULTS: readonly { id: Fault; name: string }[] = [
  { id: 'NONE', name: 'Nothing' },
  { id: 'SLOW_LEAK', name: 'A slow leak' },
  { id: 'STUCK_THERMOSTAT', name: 'Thermostat stays shut' },
  { id: 'AIRLOCK', name: 'Air in the core' },
  { id: 'SENSOR_DROPOUT', name: 'A sensor plug falls off' },
  { id: 'DEAD_FAN', name: 'Fan does not run' },
];

const CHANNELS: readonly { id: Channel; name: string }[] = [
  { id: 'RPM', name: 'Engine speed' },
  { id: 'OIL_PRESSURE', name: 'Oil pressure' },
  { id: 'OIL', name: 'Oil' },
  { id: 'OIL_RETURN', name: 'Oil from the cooler' },
  { id: 'CORE_FAR', name: 'Far end of the core' },
  { id: 'COOLANT', name: 'Coolant' },
  { id: 'AMBIENT', name: 'Air' },
];

const TURNINGS: readonly { id: Turning; name: string }[] = [
  { id: 'CRANK', name: 'Crank' },
  { id: 'IDLE', name: 'Idle' },
  { id: 'WARM', name: 'Raised idle' },
  { id: 'OFF', name: 'Off' },
];

const Panel = styled.section`
  display: flex;
  flex-direction: column;
  gap: 10px;
  & td {
    font-size: 17px;
  }
`;

/** A key for a logger over the workshop's network, shown once. */
function LoggerKey({ buildId, onRefused }: { buildId: string; onRefused: (why: string) => void }) {
  const [made, setMade] = useState<Schemas['LoggerKey']>();
  const make = () =>
    read(api.POST('/api/builds/{id}/logger/key', { params: { path: { id: buildId } } })).then(setMade, (e: unknown) =>
      onRefused((e as Error).message),
    );
  return (
    <>
      <Muted>
        It connects to the gauge port of this server and says a key, which lets it show gauges of this build for a day.
        The lines are not encrypted: use it on the workshop's own network.
      </Muted>
      <Button onPress={() => void make()}>Make a key</Button>
      {made && (
        <p role="status" style={{ margin: 0, overflowWrap: 'anywhere' }}>
          <code>{made.key}</code>
          <br />
          {made.port === undefined
            ? '▲ This server was started without a gauge port: ISOTHERM_GAUGES=8400 opens one on this machine, ISOTHERM_GAUGES=ADDRESS:8400 on its network.'
            : `Gauge port ${made.port}. It holds until ${when(made.until)}, and is shown this once.`}
        </p>
      )}
    </>
  );
}

/** What is shown ten times a second: nothing that can be pressed is drawn anew with it but the figures. */
function Shown({ buildId }: { buildId: string }) {
  const live = useShown(buildId);
  const { show } = usePreferences();
  if (!live) {
    return null;
  }
  const figure = (channel: Channel) => {
    const v = live.values[channel];
    if (live.spoiled.includes(channel)) {
      return '▲ not a possible reading';
    }
    if (v === undefined) {
      return '–';
    }
    return channel === 'RPM'
      ? `${Math.round(v)} rpm`
      : show(v, channel === 'OIL_PRESSURE' ? 'pressure' : 'temperature');
  };
  return (
    <>
      {live.silentSeconds > 0 && (
        <p role="alert" style={{ margin: 0 }}>
          ▲ Nothing from the logger for {live.silentSeconds} s. Read the car&apos;s own gauges.
        </p>
      )}
      <FigureTable aria-label="What the gauges show">
        <tbody>
          {CHANNELS.map((c) => (
            <tr key={c.id}>
              <th scope="row">{c.name}</th>
              <td>
                <Figure of="READING">{figure(c.id)}</Figure>
              </td>
            </tr>
          ))}
        </tbody>
      </FigureTable>
      {live.simulated && <Muted>Simulated engine, {Math.round(live.time / 60)} min on its clock</Muted>}
    </>
  );
}

/** What the logger shows; a choice of logger while none is attached. */
export function Gauges({ buildId }: { buildId: string }) {
  const { listening, simulated } = useLogger(buildId);
  const [fault, setFault] = useState<Fault>('NONE');
  const [pace, setPace] = useState(30);
  const [port, setPort] = useState(8411);
  const [said, setSaid] = useState<string>();
  const params = { path: { id: buildId } };
  const tell = (asked: Promise<unknown>) => {
    setSaid(undefined);
    asked.catch((e: unknown) => setSaid((e as Error).message));
  };
  const attach = (body: Schemas['LoggerChoice']) => tell(read(api.POST('/api/builds/{id}/logger', { params, body })));
  const command = (body: Schemas['EngineCommand']) =>
    tell(read(api.POST('/api/builds/{id}/logger/engine', { params, body })));
  const ports = range('LoggerChoice', 'port');
  const paces = range('LoggerChoice', 'pace');
  return (
    <Panel aria-label="Gauges">
      <Heading>Gauges</Heading>
      {listening ? (
        <>
          <Shown buildId={buildId} />
          {simulated && (
            <Row role="group" aria-label="The simulated engine">
              {TURNINGS.map((t) => (
                <Button key={t.id} onPress={() => command({ turning: t.id })}>
                  {t.name}
                </Button>
              ))}
            </Row>
          )}
          <Button onPress={() => tell(read(api.DELETE('/api/builds/{id}/logger', { params })))}>
            Disconnect logger
          </Button>
        </>
      ) : (
        <>
          <Muted>No logger is attached: readings are typed.</Muted>
          <Fold name="Simulated logger">
            <Pick label="What is wrong with its engine" value={fault} options={FAULTS} onChange={setFault} />
            <QuantityField
              label="Pace, seconds in one"
              value={pace}
              min={paces.min}
              max={paces.max}
              step={10}
              onChange={setPace}
            />
            <Button onPress={() => attach({ fault, pace })}>Attach the simulated logger</Button>
          </Fold>
          <Fold name="A logger of your own">
            <Muted>
              It listens on a loopback port of this machine and speaks the protocol of docs/formats/gauges.md.
            </Muted>
            <QuantityField label="Port" value={port} min={ports.min} max={ports.max} step={1} onChange={setPort} />
            <Button onPress={() => attach({ port })}>Attach it</Button>
          </Fold>
          <Fold name="A logger with a key">
            <LoggerKey buildId={buildId} onRefused={setSaid} />
          </Fold>
        </>
      )}
      {said && <p role="alert">▲ {said}</p>}
    </Panel>
  );
}
