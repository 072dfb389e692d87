import type { Schemas } from '../../api/client';
import { Muted } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import { usePreferences } from '../../preferences/preferences';

/** Every figure of a class with its reason: each is to be replaced by what the car itself shows. */
export function ClassFigures({ from }: { from: Schemas['CarClass'] }) {
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
