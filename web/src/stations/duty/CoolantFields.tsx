import { range } from '../../api/descriptions';
import { usePreferences } from '../../preferences/preferences';
import { useBench } from '../../bench/workbench';
import { RadiatorFields } from './RadiatorFields';
import { DocumentNumber } from '../../kit/fields';
import { Fold, Muted, QuantityField, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { usePresets } from '../../bench/presets';

/** Heat that leaves the oil without a cooler. */
export function LossFields() {
  const presets = usePresets();
  const { car, now, changeCar } = useBench();
  const losses = car.losses ?? presets.losses;
  return (
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
            onChange={(v) => changeCar({ ...now().car, losses: { ...losses, [field]: v } })}
          />
        ))}
      </Fields>
      <Muted>Starting points; a baseline log replaces them.</Muted>
    </Fold>
  );
}

/** Coolant and radiator. */
export function CoolantFields() {
  const presets = usePresets();
  const { car, now, changeCar } = useBench();
  const { show } = usePreferences();
  const { coolant } = car;
  const radiator = coolant.radiator;
  return (
    <Fold
      name="Coolant and radiator"
      short={`${show(radiator.widthMm, 'length')} × ${show(radiator.heightMm, 'length')}`}
    >
      <Fields>
        <DocumentNumber
          label="Thermostat opens"
          schema="CoolantDocument"
          field="opensC"
          quantity="temperature"
          value={coolant.opensC}
          step={1}
          onChange={(opensC) => changeCar({ ...now().car, coolant: { ...coolant, opensC } })}
        />
        <DocumentNumber
          label="Full open"
          schema="CoolantDocument"
          field="fullC"
          quantity="temperature"
          value={coolant.fullC}
          step={1}
          onChange={(fullC) => changeCar({ ...now().car, coolant: { ...coolant, fullC } })}
        />
        <DocumentNumber
          label="Heat, share of power"
          schema="CoolantDocument"
          field="heatSharePercent"
          suffix="%"
          value={coolant.heatSharePercent ?? presets.usual.coolantSharePercent}
          step={1}
          onChange={(heatSharePercent) => changeCar({ ...now().car, coolant: { ...coolant, heatSharePercent } })}
        />
        <DocumentNumber
          label="Coolant and block hold"
          schema="CoolantDocument"
          field="capacityKjPerK"
          suffix="kJ/K"
          value={coolant.capacityKjPerK}
          step={5}
          onChange={(capacityKjPerK) => changeCar({ ...now().car, coolant: { ...coolant, capacityKjPerK } })}
        />
        <RadiatorFields
          radiator={radiator}
          onChange={(next) => changeCar({ ...now().car, coolant: { ...coolant, radiator: next } })}
        />
        <Toggle
          label="Factory oil exchanger"
          value={(car.factoryExchangerWPerK ?? 0) > 0}
          onChange={(on) => {
            const rest = { ...now().car };
            delete rest.factoryExchangerWPerK;
            changeCar(on ? { ...rest, factoryExchangerWPerK: presets.starts.factoryExchangerWPerK } : rest);
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
            onChange={(factoryExchangerWPerK) => changeCar({ ...now().car, factoryExchangerWPerK })}
          />
        )}
      </Fields>
    </Fold>
  );
}
