import type { DesignDocument } from '../../api/client';
import { AxisChoice, Docs } from './axesTypes';

const onCooler = (docs: Docs, change: Partial<NonNullable<DesignDocument['cooler']>>): Docs =>
  docs.design.cooler ? { ...docs, design: { ...docs.design, cooler: { ...docs.design.cooler, ...change } } } : docs;

export const AXES: readonly AxisChoice[] = [
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
