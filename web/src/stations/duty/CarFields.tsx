import { type CarDocument, range } from '../../api/client';
import { usePreferences } from '../../app/preferences';
import { useBench } from '../../app/workbench';
import { DocumentNumber } from '../../kit/fields';
import { Button, Fold, Muted, Pick, QuantityField, Row, TextEntry, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { TakeLogOut } from './TakeLogOut';

const GRADES = ['0W-20', '5W-30', '5W-40', '10W-40', '10W-60', '15W-40', '20W-50'];

/** What the model takes where the car says nothing of its own. */
const LOSSES: NonNullable<CarDocument['losses']> = {
  stillWPerK: 20,
  movingWPerK: 1.5,
  blockWPerK: 100,
  metalKjPerK: 6,
};

export function CarFields() {
  const { car, changeCar } = useBench();
  const { show } = usePreferences();
  const { engine, heat, vehicle, pump, gauge, coolant, limits } = car;
  const losses = car.losses ?? LOSSES;
  const radiator = coolant.radiator;
  return (
    <div>
      <Fold name="Engine" short={`${show(engine.powerKw, 'power')}, ${engine.displacementL} L`} open>
        <TextEntry label="Name of the car" value={car.name} onChange={(name) => changeCar({ ...car, name })} />
        <Fields>
          <DocumentNumber
            label="Engine power"
            schema="EngineDocument"
            field="powerKw"
            quantity="power"
            value={engine.powerKw}
            step={5}
            onChange={(powerKw) => changeCar({ ...car, engine: { ...engine, powerKw } })}
          />
          <DocumentNumber
            label="Planned power"
            schema="EngineDocument"
            field="plannedPowerKw"
            quantity="power"
            value={engine.plannedPowerKw ?? engine.powerKw}
            step={5}
            onChange={(plannedPowerKw) => changeCar({ ...car, engine: { ...engine, plannedPowerKw } })}
          />
          <Pick
            label="Induction"
            value={engine.aspiration}
            options={[
              { id: 'NATURAL', name: 'Naturally' },
              { id: 'TURBO', name: 'Turbo petrol' },
              { id: 'TURBO_DIESEL', name: 'Turbo-diesel' },
            ]}
            onChange={(aspiration) => changeCar({ ...car, engine: { ...engine, aspiration } })}
          />
          <DocumentNumber
            label="Boost"
            schema="EngineDocument"
            field="boostBar"
            quantity="pressure"
            value={engine.boostBar}
            step={0.1}
            onChange={(boostBar) => changeCar({ ...car, engine: { ...engine, boostBar } })}
          />
          <DocumentNumber
            label="Capacity"
            schema="EngineDocument"
            field="displacementL"
            suffix="L"
            digits={2}
            value={engine.displacementL}
            step={0.1}
            onChange={(displacementL) => changeCar({ ...car, engine: { ...engine, displacementL } })}
          />
          <DocumentNumber
            label="Maximum engine speed"
            schema="EngineDocument"
            field="maxRpm"
            suffix="rpm"
            value={engine.maxRpm}
            step={100}
            onChange={(maxRpm) => changeCar({ ...car, engine: { ...engine, maxRpm } })}
          />
          <DocumentNumber
            label="Idle"
            schema="EngineDocument"
            field="idleRpm"
            suffix="rpm"
            value={engine.idleRpm}
            step={50}
            onChange={(idleRpm) => changeCar({ ...car, engine: { ...engine, idleRpm } })}
          />
          <Toggle
            label="Piston jets"
            value={engine.pistonJets}
            onChange={(pistonJets) => changeCar({ ...car, engine: { ...engine, pistonJets } })}
          />
        </Fields>
      </Fold>
      <Fold
        name="Heat into the oil"
        short={
          car.fitted ? `fitted to “${car.fitted.log}”` : heat.school === 'FRICTION' ? 'friction' : 'share of power'
        }
      >
        <Fields>
          <Pick
            label="Heat by"
            value={heat.school}
            options={[
              { id: 'SHARE_OF_POWER', name: 'Share of power' },
              { id: 'FRICTION', name: 'Friction' },
            ]}
            onChange={(school) => changeCar({ ...car, heat: { ...heat, school } })}
          />
          <DocumentNumber
            label="Share into the oil"
            schema="HeatDocument"
            field="sharePercent"
            suffix="%"
            value={heat.sharePercent ?? { NATURAL: 6, TURBO: 9, TURBO_DIESEL: 7 }[engine.aspiration]}
            step={0.5}
            onChange={(sharePercent) => changeCar({ ...car, heat: { ...heat, sharePercent } })}
          />
        </Fields>
        {car.fitted && (
          <Row>
            <Muted>
              {car.fitted.factors
                .map((f) => `${f.factor.toLowerCase()} × ${f.value.toFixed(2)} ± ${f.standardError.toFixed(2)}`)
                .join(', ')}
            </Muted>
            <TakeLogOut />
          </Row>
        )}
      </Fold>
      <OilFields />
      <Fold name="Body and gears" short={`${show(vehicle.massKg, 'mass')}, ${vehicle.gearsKmhPer1000Rpm.length} gears`}>
        <Fields>
          <DocumentNumber
            label="Mass with driver"
            schema="VehicleDocument"
            field="massKg"
            quantity="mass"
            value={vehicle.massKg}
            step={10}
            onChange={(massKg) => changeCar({ ...car, vehicle: { ...vehicle, massKg } })}
          />
          <DocumentNumber
            label="Drag area, CdA"
            schema="VehicleDocument"
            field="dragAreaM2"
            suffix="m²"
            digits={2}
            value={vehicle.dragAreaM2}
            step={0.02}
            onChange={(dragAreaM2) => changeCar({ ...car, vehicle: { ...vehicle, dragAreaM2 } })}
          />
          <DocumentNumber
            label="Rolling resistance"
            schema="VehicleDocument"
            field="rolling"
            digits={3}
            value={vehicle.rolling}
            step={0.001}
            onChange={(rolling) => changeCar({ ...car, vehicle: { ...vehicle, rolling } })}
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
                  ...car,
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
                ...car,
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
                ...car,
                vehicle: { ...vehicle, gearsKmhPer1000Rpm: vehicle.gearsKmhPer1000Rpm.slice(0, -1) },
              })
            }
          >
            One gear less
          </Button>
        </Row>
      </Fold>
      <Fold name="Oil pump and gauge" short={`${show(gauge.bar, 'pressure')} at ${gauge.rpm} rpm`}>
        <Fields>
          <DocumentNumber
            label="Oil per revolution"
            schema="PumpDocument"
            field="cm3PerRev"
            suffix="cm³"
            digits={1}
            value={pump.cm3PerRev}
            step={0.5}
            onChange={(cm3PerRev) => changeCar({ ...car, pump: { ...pump, cm3PerRev } })}
          />
          <DocumentNumber
            label="Volumetric efficiency"
            schema="PumpDocument"
            field="volumetricPercent"
            suffix="%"
            value={pump.volumetricPercent}
            step={1}
            onChange={(volumetricPercent) => changeCar({ ...car, pump: { ...pump, volumetricPercent } })}
          />
          <DocumentNumber
            label="Relief opens at"
            schema="PumpDocument"
            field="reliefBar"
            quantity="pressure"
            value={pump.reliefBar}
            step={0.1}
            onChange={(reliefBar) => changeCar({ ...car, pump: { ...pump, reliefBar } })}
          />
          <DocumentNumber
            label="Gauge reads"
            schema="GaugeDocument"
            field="bar"
            quantity="pressure"
            value={gauge.bar}
            step={0.1}
            onChange={(bar) => changeCar({ ...car, gauge: { ...gauge, bar } })}
          />
          <DocumentNumber
            label="at"
            schema="GaugeDocument"
            field="rpm"
            suffix="rpm"
            value={gauge.rpm}
            step={50}
            onChange={(rpm) => changeCar({ ...car, gauge: { ...gauge, rpm } })}
          />
          <DocumentNumber
            label="with oil of"
            schema="GaugeDocument"
            field="oilC"
            quantity="temperature"
            value={gauge.oilC}
            step={1}
            onChange={(oilC) => changeCar({ ...car, gauge: { ...gauge, oilC } })}
          />
        </Fields>
      </Fold>
      <Fold name="Heat lost by sump and block" short={car.losses ? 'own' : 'starting point'}>
        <Fields>
          {(
            [
              ['Sump at rest', 'stillWPerK', 'W/K', 1, 0],
              ['Sump per (m/s)^0.8', 'movingWPerK', 'W/K', 0.1, 1],
              ['Block to coolant', 'blockWPerK', 'W/K', 5, 0],
              ['Metal with the oil', 'metalKjPerK', 'kJ/K', 0.5, 1],
            ] as const
          ).map(([label, field, suffix, step, digits]) => (
            <DocumentNumber
              key={field}
              label={label}
              schema="LossesDocument"
              field={field}
              suffix={suffix}
              digits={digits}
              value={losses[field]}
              step={step}
              onChange={(v) => changeCar({ ...car, losses: { ...losses, [field]: v } })}
            />
          ))}
        </Fields>
        <Muted>Starting points; a baseline log replaces them.</Muted>
      </Fold>
      <Fold name="Coolant and radiator" short={`${radiator.widthMm} × ${radiator.heightMm} mm`}>
        <Fields>
          <DocumentNumber
            label="Thermostat opens"
            schema="CoolantDocument"
            field="opensC"
            quantity="temperature"
            value={coolant.opensC}
            step={1}
            onChange={(opensC) => changeCar({ ...car, coolant: { ...coolant, opensC } })}
          />
          <DocumentNumber
            label="Full open"
            schema="CoolantDocument"
            field="fullC"
            quantity="temperature"
            value={coolant.fullC}
            step={1}
            onChange={(fullC) => changeCar({ ...car, coolant: { ...coolant, fullC } })}
          />
          <DocumentNumber
            label="Heat, share of power"
            schema="CoolantDocument"
            field="heatSharePercent"
            suffix="%"
            value={coolant.heatSharePercent ?? 50}
            step={1}
            onChange={(heatSharePercent) => changeCar({ ...car, coolant: { ...coolant, heatSharePercent } })}
          />
          <DocumentNumber
            label="Coolant and block hold"
            schema="CoolantDocument"
            field="capacityKjPerK"
            suffix="kJ/K"
            value={coolant.capacityKjPerK}
            step={5}
            onChange={(capacityKjPerK) => changeCar({ ...car, coolant: { ...coolant, capacityKjPerK } })}
          />
          {(
            [
              ['Radiator width', 'widthMm', 'length', undefined, 10],
              ['Radiator height', 'heightMm', 'length', undefined, 10],
              ['UA at 4 m/s', 'conductanceWPerK', undefined, 'W/K', 50],
              ['Air loss at 4 m/s', 'pressureDropPa', undefined, 'Pa', 10],
              ['Openings that feed it', 'openingCm2', 'area', undefined, 10],
              ['Fan pressure', 'fanPa', undefined, 'Pa', 10],
              ['Fan flow', 'fanM3PerS', undefined, 'm³/s', 0.05],
            ] as const
          ).map(([label, field, quantity, suffix, step]) => (
            <DocumentNumber
              key={field}
              label={label}
              schema="RadiatorDocument"
              field={field}
              {...(quantity ? { quantity } : {})}
              {...(suffix ? { suffix } : {})}
              value={radiator[field]}
              step={step}
              onChange={(v) => changeCar({ ...car, coolant: { ...coolant, radiator: { ...radiator, [field]: v } } })}
            />
          ))}
          <Toggle
            label="Factory oil exchanger"
            value={(car.factoryExchangerWPerK ?? 0) > 0}
            onChange={(on) => {
              const rest = { ...car };
              delete rest.factoryExchangerWPerK;
              changeCar(on ? { ...rest, factoryExchangerWPerK: 200 } : rest);
            }}
          />
          {(car.factoryExchangerWPerK ?? 0) > 0 && (
            <QuantityField
              label="Exchanger conductance, UA"
              suffix="W/K"
              value={car.factoryExchangerWPerK ?? 0}
              step={10}
              min={1}
              max={range('CarDocument', 'factoryExchangerWPerK').max}
              onChange={(factoryExchangerWPerK) => changeCar({ ...car, factoryExchangerWPerK })}
            />
          )}
        </Fields>
      </Fold>
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
            onChange={(targetLowC) => changeCar({ ...car, limits: { ...limits, targetLowC } })}
          />
          <QuantityField
            label="Target to"
            quantity="temperature"
            value={limits.targetHighC}
            step={1}
            min={limits.targetLowC + 1}
            max={Math.min(limits.limitC, range('LimitsDocument', 'targetHighC').max)}
            onChange={(targetHighC) => changeCar({ ...car, limits: { ...limits, targetHighC } })}
          />
          <QuantityField
            label="Limit of the oil"
            quantity="temperature"
            value={limits.limitC}
            step={1}
            min={limits.targetHighC}
            max={range('LimitsDocument', 'limitC').max}
            onChange={(limitC) => changeCar({ ...car, limits: { ...limits, limitC } })}
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
            onChange={(sensor) => changeCar({ ...car, sensor })}
          />
        </Fields>
        <Muted>The oil maker’s limit comes first.</Muted>
      </Fold>
    </div>
  );
}

function OilFields() {
  const { car, changeCar } = useBench();
  const { show } = usePreferences();
  const { oil } = car;
  const own = !GRADES.includes(oil.grade);
  return (
    <Fold name="Oil" short={`${oil.grade}, ${show(car.oilVolumeL, 'volume')}`} open>
      <Fields>
        <Pick
          label="Oil"
          value={own ? 'own' : oil.grade}
          options={[...GRADES.map((id) => ({ id, name: id })), { id: 'own', name: 'Own, by its data sheet' }]}
          onChange={(grade) =>
            changeCar({
              ...car,
              oil: grade === 'own' ? { grade: 'Own oil', kv40Cst: 85, kv100Cst: 14, density15: 855 } : { grade },
            })
          }
        />
        <DocumentNumber
          label="Oil in the engine"
          schema="CarDocument"
          field="oilVolumeL"
          quantity="volume"
          value={car.oilVolumeL}
          step={0.1}
          onChange={(oilVolumeL) => changeCar({ ...car, oilVolumeL })}
        />
        {own && (
          <>
            <TextEntry
              label="Oil name"
              longest={60}
              value={oil.grade}
              onChange={(grade) => changeCar({ ...car, oil: { ...oil, grade } })}
            />
            <DocumentNumber
              label="KV100"
              schema="OilDocument"
              field="kv100Cst"
              suffix="cSt"
              digits={1}
              value={oil.kv100Cst ?? 14}
              step={0.1}
              onChange={(kv100Cst) => changeCar({ ...car, oil: { ...oil, kv100Cst } })}
            />
            {oil.viscosityIndex === undefined ? (
              <DocumentNumber
                label="KV40"
                schema="OilDocument"
                field="kv40Cst"
                suffix="cSt"
                digits={1}
                value={oil.kv40Cst ?? 85}
                step={1}
                onChange={(kv40Cst) => changeCar({ ...car, oil: { ...oil, kv40Cst } })}
              />
            ) : (
              <DocumentNumber
                label="Viscosity index"
                schema="OilDocument"
                field="viscosityIndex"
                value={oil.viscosityIndex}
                step={1}
                onChange={(viscosityIndex) => changeCar({ ...car, oil: { ...oil, viscosityIndex } })}
              />
            )}
            <DocumentNumber
              label="Density at 15 °C"
              schema="OilDocument"
              field="density15"
              suffix="kg/m³"
              value={oil.density15 ?? 855}
              step={1}
              onChange={(density15) => changeCar({ ...car, oil: { ...oil, density15 } })}
            />
            <Toggle
              label="By viscosity index"
              value={oil.viscosityIndex !== undefined}
              onChange={(on) => {
                const rest = { ...oil };
                delete rest.kv40Cst;
                delete rest.viscosityIndex;
                changeCar({ ...car, oil: on ? { ...rest, viscosityIndex: 160 } : { ...rest, kv40Cst: 85 } });
              }}
            />
          </>
        )}
      </Fields>
    </Fold>
  );
}
