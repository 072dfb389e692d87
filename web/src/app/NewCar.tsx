import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { api, create, type Schemas } from '../api/client';
import { queries } from '../api/queries';
import { Button, Heading, Muted, Pick, Row, Sheet, TextEntry } from '../kit/kit';
import { FigureTable } from '../kit/layout';
import { GarageFiles } from './FilesSheet';
import { usePreferences } from '../preferences/preferences';

const Page = styled.main`
  max-width: 760px;
  margin: 40px auto;
  padding: 0 24px;
  display: flex;
  flex-direction: column;
  gap: 16px;
`;

/** A new car from a class: every figure stands there with its reason before it is taken. */
export function NewCar({ empty, onClose }: { empty?: boolean; onClose?: () => void }) {
  const classes = useQuery(queries.classes());
  const [chosen, setChosen] = useState('hatch');
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string>();
  const client = useQueryClient();
  const navigate = useNavigate();
  const from = classes.data?.find((c) => c.id === chosen);
  if (!from || !classes.data) {
    return null;
  }
  const make = async () => {
    try {
      const car = await create((header) =>
        api.POST('/api/cars/from-class', {
          params: { header },
          body: { classId: chosen, name: name.trim() || from.car.name },
        }),
      );
      await client.cancelQueries(queries.cars());
      client.setQueryData(queries.cars().queryKey, (old) => [
        ...(old ?? []),
        { id: car.id, name: car.car.name, broken: false },
      ]);
      onClose?.();
      void navigate(`/cars/${car.id}/duty`);
    } catch (e) {
      setProblem(e instanceof Error ? e.message : String(e));
    }
  };
  const body = (
    <>
      <Muted>
        Start from the class that is nearest. Every figure is a sensible guess that you replace by what your own car
        shows; a log of it replaces most of them at once.
      </Muted>
      <Row>
        <div style={{ flex: 1, minWidth: 220 }}>
          <Pick
            label="Class"
            value={chosen}
            options={classes.data.map((c) => ({ id: c.id, name: c.name }))}
            onChange={setChosen}
          />
        </div>
        <div style={{ flex: 1, minWidth: 220 }}>
          <TextEntry label="Name of the car" value={name || from.car.name} onChange={setName} />
        </div>
      </Row>
      <ClassFigures from={from} />
      {problem && <p role="alert">▲ {problem}</p>}
      <Row>
        <Button onPress={() => void make()}>Add this car</Button>
        {onClose && <Button onPress={onClose}>Cancel</Button>}
      </Row>
    </>
  );
  return empty ? (
    <Page>
      <Heading as="h1">An empty garage</Heading>
      {body}
      <GarageFiles empty />
      <Muted>Start it with ./isotherm demo to look at three invented cars first.</Muted>
    </Page>
  ) : (
    <Sheet title="New car" onClose={() => onClose?.()} widest="760px">
      {body}
    </Sheet>
  );
}

function ClassFigures({ from }: { from: Schemas['CarClass'] }) {
  const { show } = usePreferences();
  const { car } = from;
  const why = (field: string) => from.why.find((w) => w.field === field)?.reason ?? '';
  const rows = [
    [
      'Engine',
      `${show(car.engine.powerKw, 'power')}, ${car.engine.displacementL} L, ${car.engine.maxRpm} rpm`,
      'engine',
    ],
    ['Heat into the oil', `${car.heat.sharePercent ?? '–'} % of brake power`, 'heat'],
    [
      'Oil',
      `${car.oil.grade}, ${show(car.oilVolumeL, 'volume')}`,
      from.why.some((w) => w.field === 'oil') ? 'oil' : 'oilVolumeL',
    ],
    ['Car', `${show(car.vehicle.massKg, 'mass')}, CdA ${car.vehicle.dragAreaM2} m²`, 'vehicle'],
    ['Oil pump', `${car.pump.cm3PerRev} cm³, relief ${show(car.pump.reliefBar, 'pressure')}`, 'pump'],
    [
      'Gauge',
      `${show(car.gauge.bar, 'pressure')} at ${car.gauge.rpm} rpm, ${show(car.gauge.oilC, 'temperature')}`,
      'gauge',
    ],
    ['Sump and block', `${car.losses?.stillWPerK} W/K and ${car.losses?.blockWPerK} W/K`, 'losses'],
    [
      'Radiator',
      `${show(car.coolant.radiator.widthMm, 'length')} × ${show(car.coolant.radiator.heightMm, 'length')}`,
      'coolant',
    ],
    [
      'Factory exchanger',
      car.factoryExchangerWPerK ? `${car.factoryExchangerWPerK} W/K` : 'none',
      'factoryExchangerWPerK',
    ],
    [
      'Target and limit',
      `${show(car.limits.targetHighC, 'temperature')}, ${show(car.limits.limitC, 'temperature')}`,
      'limits',
    ],
  ] as const;
  return (
    <FigureTable aria-label="Figures of this class">
      <tbody>
        {rows.map(([label, figure, field]) => (
          <tr key={label}>
            <th scope="row">{label}</th>
            <td style={{ textAlign: 'left' }}>{figure}</td>
            <td style={{ textAlign: 'left', whiteSpace: 'normal' }}>
              <Muted>{why(field)}</Muted>
            </td>
          </tr>
        ))}
      </tbody>
    </FigureTable>
  );
}
