import { range } from '../../api/descriptions';
import { usePreferences } from '../../preferences/preferences';
import { usePresets } from '../../bench/presets';
import { useBench } from '../../bench/workbench';
import { DocumentNumber } from '../../kit/fields';
import { Button, Fold, Muted, Pick, QuantityField, Row } from '../../kit/kit';
import { Fields } from '../../kit/layout';

/** Mass, drag and gears. */
export function BodyFields() {
  const { car, now, changeCar } = useBench();
  const { show } = usePreferences();
  const { vehicle } = car;
  return (
    <Fold name="Body and gears" short={`${show(vehicle.massKg, 'mass')}, ${vehicle.gearsKmhPer1000Rpm.length} gears`}>
      <Fields>
        <DocumentNumber
          label="Mass with driver"
          schema="VehicleDocument"
          field="massKg"
          quantity="mass"
          value={vehicle.massKg}
          step={10}
          onChange={(massKg) => changeCar({ ...now().car, vehicle: { ...vehicle, massKg } })}
        />
        <DocumentNumber
          label="Drag area, CdA"
          schema="VehicleDocument"
          field="dragAreaM2"
          suffix="m²"
          digits={2}
          value={vehicle.dragAreaM2}
          step={0.02}
          onChange={(dragAreaM2) => changeCar({ ...now().car, vehicle: { ...vehicle, dragAreaM2 } })}
        />
        <DocumentNumber
          label="Rolling resistance"
          schema="VehicleDocument"
          field="rolling"
          digits={3}
          value={vehicle.rolling}
          step={0.001}
          onChange={(rolling) => changeCar({ ...now().car, vehicle: { ...vehicle, rolling } })}
        />
        {vehicle.gearsKmhPer1000Rpm.map((v, i) => (
          <QuantityField
            key={i}
            label={`Gear ${i + 1} at 1000 rpm`}
            quantity="speed"
            digits={1}
            value={v}
            step={0.5}
            min={Math.max(2, (vehicle.gearsKmhPer1000Rpm[i - 1] ?? 0) + 0.1)}
            max={(vehicle.gearsKmhPer1000Rpm[i + 1] ?? 150.1) - 0.1}
            onChange={(kmh) =>
              changeCar({
                ...now().car,
                vehicle: {
                  ...vehicle,
                  gearsKmhPer1000Rpm: vehicle.gearsKmhPer1000Rpm.map((g, k) => (k === i ? kmh : g)),
                },
              })
            }
          />
        ))}
      </Fields>
      <Row>
        <Button
          isDisabled={vehicle.gearsKmhPer1000Rpm.length >= 18}
          onPress={() =>
            changeCar({
              ...now().car,
              vehicle: {
                ...vehicle,
                gearsKmhPer1000Rpm: [
                  ...vehicle.gearsKmhPer1000Rpm,
                  Math.round((vehicle.gearsKmhPer1000Rpm[vehicle.gearsKmhPer1000Rpm.length - 1] ?? 8) * 12) / 10,
                ],
              },
            })
          }
        >
          One gear more
        </Button>
        <Button
          isDisabled={vehicle.gearsKmhPer1000Rpm.length < 2}
          onPress={() =>
            changeCar({
              ...now().car,
              vehicle: { ...vehicle, gearsKmhPer1000Rpm: vehicle.gearsKmhPer1000Rpm.slice(0, -1) },
            })
          }
        >
          One gear less
        </Button>
      </Row>
    </Fold>
  );
}

/** How sure one may want to be before a part is called needed or good. */
const SURE = [
  { id: '80', name: '4 times in 5 (80 %)' },
  { id: '90', name: '9 times in 10 (90 %)' },
  { id: '95', name: '19 times in 20 (95 %)' },
];

/** What the oil is held to. */
export function LimitFields() {
  const { car, now, changeCar } = useBench();
  const { show } = usePreferences();
  const { limits } = car;
  const { usual } = usePresets();
  return (
    <Fold
      name="Target, limit, sensor"
      short={`${show(limits.targetHighC, 'temperature')}, ${show(limits.limitC, 'temperature')}`}
    >
      <Fields>
        <QuantityField
          label="Target from"
          quantity="temperature"
          value={limits.targetLowC}
          step={1}
          min={range('LimitsDocument', 'targetLowC').min}
          max={limits.targetHighC - 1}
          onChange={(targetLowC) => changeCar({ ...now().car, limits: { ...limits, targetLowC } })}
        />
        <QuantityField
          label="Target to"
          quantity="temperature"
          value={limits.targetHighC}
          step={1}
          min={limits.targetLowC + 1}
          max={Math.min(limits.limitC, range('LimitsDocument', 'targetHighC').max)}
          onChange={(targetHighC) => changeCar({ ...now().car, limits: { ...limits, targetHighC } })}
        />
        <QuantityField
          label="Limit of the oil"
          quantity="temperature"
          value={limits.limitC}
          step={1}
          min={limits.targetHighC}
          max={range('LimitsDocument', 'limitC').max}
          onChange={(limitC) => changeCar({ ...now().car, limits: { ...limits, limitC } })}
        />
        <DocumentNumber
          label="Coldest start"
          schema="LimitsDocument"
          field="coldestC"
          quantity="temperature"
          value={limits.coldestC ?? usual.coldestC}
          step={5}
          onChange={(coldestC) => changeCar({ ...now().car, limits: { ...limits, coldestC } })}
        />
        <Pick
          label="How sure do you want to be"
          value={String(limits.surePercent ?? usual.surePercent)}
          options={SURE}
          onChange={(sure) => changeCar({ ...now().car, limits: { ...limits, surePercent: Number(sure) } })}
        />
        <Pick
          label="Sensor sits"
          value={car.sensor}
          options={[
            { id: 'SUMP', name: 'In the sump' },
            { id: 'PLATE_INLET', name: 'In the plate, to the cooler' },
            { id: 'PLATE_OUTLET', name: 'In the plate, from the cooler' },
            { id: 'GALLERY', name: 'In the gallery' },
          ]}
          onChange={(sensor) => changeCar({ ...now().car, sensor })}
        />
      </Fields>
      <Muted>The oil maker's limit comes first.</Muted>
    </Fold>
  );
}
