import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import type { CarDocument, DutyDocument, DesignDocument, Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { useSettled } from '../../bench/useSettled';
import { useBench } from '../../bench/workbench';
import { Heading, Muted, Pick } from '../../kit/kit';
import { IsothermMap, type MapAxis } from '../../pictures/IsothermMap';

type AxisId = Schemas['AxisDocument']['axis'];

const axisOf = ({ id, from, to, count }: AxisChoice) => ({ axis: id, from, to, count });

interface Docs {
  readonly car: CarDocument;
  readonly duty: DutyDocument;
  readonly design: DesignDocument;
}

interface AxisChoice extends Omit<MapAxis, 'value'> {
  readonly id: AxisId;
  readonly from: number;
  readonly to: number;
  readonly count: number;
  /** The present value; missing when the axis has no meaning here. */
  get(docs: Docs): number | undefined;
  set(docs: Docs, value: number): Docs;
}

const onCooler = (docs: Docs, change: Partial<NonNullable<DesignDocument['cooler']>>): Docs =>
  docs.design.cooler ? { ...docs, design: { ...docs.design, cooler: { ...docs.design.cooler, ...change } } } : docs;

const AXES: readonly AxisChoice[] = [
  {
    id: 'ROWS',
    label: 'Rows',
    from: 7,
    to: 34,
    count: 28,
    step: 1,
    get: (d) => d.design.cooler?.rows,
    set: (d, rows) => onCooler(d, { rows }),
  },
  {
    id: 'SEALING_PERCENT',
    label: 'Sealing',
    suffix: '%',
    from: 30,
    to: 95,
    count: 20,
    step: 1,
    get: (d) => d.design.cooler?.sealingPercent,
    set: (d, sealingPercent) => onCooler(d, { sealingPercent }),
  },
  {
    id: 'SHADED_PERCENT',
    label: 'Shaded face',
    suffix: '%',
    from: 0,
    to: 70,
    count: 20,
    step: 1,
    get: (d) => d.design.cooler?.shadedPercent,
    set: (d, shadedPercent) => onCooler(d, { shadedPercent }),
  },
  {
    id: 'WIDTH_MM',
    label: 'Finned width',
    quantity: 'length',
    from: 150,
    to: 400,
    count: 20,
    step: 5,
    get: (d) => d.design.cooler?.widthMm,
    set: (d, widthMm) => onCooler(d, { widthMm }),
  },
  {
    id: 'OPENING_CM2',
    label: 'Opening',
    quantity: 'area',
    from: 50,
    to: 800,
    count: 20,
    step: 5,
    get: (d) => d.design.cooler?.openingCm2,
    set: (d, openingCm2) => onCooler(d, { openingCm2 }),
  },
  {
    id: 'THERMOSTAT_C',
    label: 'Thermostat opens',
    quantity: 'temperature',
    from: 70,
    to: 110,
    count: 20,
    step: 1,
    get: (d) => d.design.cooler?.thermostat?.opensC,
    set: (d, opensC) => onCooler(d, { thermostat: { opensC } }),
  },
  {
    id: 'AMBIENT_C',
    label: 'Air temperature',
    quantity: 'temperature',
    from: -5,
    to: 45,
    count: 20,
    step: 1,
    get: (d) => d.duty.ambientC,
    set: (d, ambientC) => ({ ...d, duty: { ...d.duty, ambientC } }),
  },
  {
    id: 'POWER_KW',
    label: 'Engine power',
    quantity: 'power',
    from: 60,
    to: 400,
    count: 20,
    step: 5,
    get: (d) => d.car.engine.powerKw,
    set: (d, powerKw) => ({ ...d, car: { ...d.car, engine: { ...d.car.engine, powerKw } } }),
  },
  {
    id: 'FAN_M3_PER_S',
    label: 'Fan flow',
    quantity: 'airFlow',
    from: 0.05,
    to: 0.6,
    count: 20,
    step: 0.01,
    get: (d) => d.design.cooler?.fan?.freeFlowM3PerS,
    set: (d, freeFlowM3PerS) =>
      d.design.cooler?.fan ? onCooler(d, { fan: { ...d.design.cooler.fan, freeFlowM3PerS } }) : d,
  },
  {
    id: 'SPEED',
    label: 'Road speed',
    quantity: 'speed',
    from: 20,
    to: 120,
    count: 20,
    step: 1,
    get: (d) => d.duty.climb?.speedKmh ?? d.duty.cruise?.speedKmh,
    set: (d, speedKmh) =>
      d.duty.climb
        ? { ...d, duty: { ...d.duty, climb: { ...d.duty.climb, speedKmh } } }
        : d.duty.cruise
          ? { ...d, duty: { ...d.duty, cruise: { ...d.duty.cruise, speedKmh } } }
          : d,
  },
];

const Bar = styled.div`
  display: grid;
  grid-template-columns: 1fr auto auto;
  align-items: center;
  gap: 8px;
  & > div {
    min-width: 138px;
  }
`;

/** The isotherm map over two variables that the builder picks. */
export function MapPanel({ height }: { height: number }) {
  const { car, duty, design, changeCar, changeDuty, changeDesign, outcome, interval, drag } = useBench();
  const docs: Docs = { car, duty, design };
  const possible = AXES.filter((a) => a.get(docs) !== undefined);
  const [xId, setX] = useState<AxisId>('ROWS');
  const [yId, setY] = useState<AxisId>('SEALING_PERCENT');
  const x = possible.find((a) => a.id === xId) ?? (possible[0] as AxisChoice);
  const y = possible.find((a) => a.id === yId && a.id !== x.id) ?? (possible.find((a) => a.id !== x.id) as AxisChoice);
  // Along its own axes the design moves on the map; only other choices make another map.
  const base = useSettled(JSON.stringify(y.set(x.set(docs, x.from), y.from)), 180);
  const map = useQuery(queries.map({ ...(JSON.parse(base) as Docs), x: axisOf(x), y: axisOf(y) }));
  const [shown, setShown] = useState<string>();
  const key = `${x.id}/${y.id}`;
  if (map.data && !map.isPlaceholderData && shown !== key) {
    setShown(key);
  }
  const move = (toX: number, toY: number) => {
    const next = y.set(x.set(docs, toX), toY);
    if (next.car !== car) {
      changeCar(next.car);
    }
    if (next.duty !== duty) {
      changeDuty(next.duty);
    }
    if (next.design !== design) {
      changeDesign(next.design);
    }
  };
  const options = possible.map((a) => ({ id: a.id, name: a.label }));
  return (
    <>
      <Bar>
        <Heading>Peak oil temperature</Heading>
        <div>
          <Pick label="Across" hideLabel value={x.id} options={options.filter((o) => o.id !== y.id)} onChange={setX} />
        </div>
        <div>
          <Pick label="Up" hideLabel value={y.id} options={options.filter((o) => o.id !== x.id)} onChange={setY} />
        </div>
      </Bar>
      {map.data && outcome && shown === key ? (
        <IsothermMap
          map={map.data}
          x={{ ...x, value: x.get(docs) ?? x.from }}
          y={{ ...y, value: y.get(docs) ?? y.from }}
          car={car}
          interval={interval}
          peakC={outcome.figures.peakC}
          height={height}
          onMove={move}
          onDrag={drag}
        />
      ) : (
        <Muted style={{ height }}>{map.error ? `No map: ${map.error.message}` : 'Drawing the map…'}</Muted>
      )}
    </>
  );
}
