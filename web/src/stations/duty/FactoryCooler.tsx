import type { CoolerDocument } from '../../api/client';
import { usePresets } from '../../bench/presets';
import { useBench } from '../../bench/workbench';
import { DocumentNumber, DocumentNumbers } from '../../kit/fields';
import { Fold, Muted, Pick, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { PLACES } from '../places';

/** An air cooler that the car came with: a design keeps it until another takes its place. */
export function FactoryCooler() {
  const { starts } = usePresets();
  const { car, now, changeCar } = useBench();
  const factory = car.factoryCooler;
  const set = (change: Partial<CoolerDocument>) =>
    factory && changeCar({ ...now().car, factoryCooler: { ...factory, ...change } });
  const t = factory?.thermostat;
  const withThermostat = (on: boolean) => {
    if (factory) {
      const rest = { ...factory };
      delete rest.thermostat;
      changeCar({ ...now().car, factoryCooler: on ? { ...rest, thermostat: starts.thermostat } : rest });
    }
  };
  return (
    <Fold name="Factory air cooler" short={factory ? `${factory.rows} rows` : 'none'}>
      <Fields>
        <Toggle
          label="Factory air cooler"
          value={factory !== undefined}
          onChange={(on) => {
            const rest = { ...now().car };
            delete rest.factoryCooler;
            changeCar(on ? { ...rest, factoryCooler: starts.cooler } : rest);
          }}
        />
        {factory && (
          <>
            <Pick
              label="Factory core location"
              value={factory.place}
              options={Object.entries(PLACES).map(([id, name]) => ({ id: id as CoolerDocument['place'], name }))}
              onChange={(place) => set({ place })}
            />
            <DocumentNumbers
              schema="CoolerDocument"
              value={factory}
              fields={[
                ['Rows of the factory core', 'rows', { step: 1, suffix: '' }],
                ['Finned width', 'widthMm'],
                ['Depth', 'depthMm'],
                ['Opening', 'openingCm2', { quantity: 'area', step: 10 }],
                ['Sealing', 'sealingPercent', { suffix: '%' }],
                ['Shaded face', 'shadedPercent', { suffix: '%' }],
              ]}
              onChange={set}
            />
            <DocumentNumber
              label="Bore of its hoses"
              schema="HoseDocument"
              field="boreMm"
              quantity="length"
              value={factory.feed.boreMm}
              step={0.5}
              onChange={(boreMm) => set({ feed: { ...factory.feed, boreMm }, back: { ...factory.back, boreMm } })}
            />
            <Toggle label="Factory oil thermostat" value={t !== undefined} onChange={withThermostat} />
            {t && (
              <DocumentNumber
                label="Oil thermostat opens"
                schema="ThermostatDocument"
                field="opensC"
                quantity="temperature"
                value={t.opensC}
                step={1}
                onChange={(opensC) => set({ thermostat: { ...t, opensC } })}
              />
            )}
          </>
        )}
      </Fields>
      {factory && <Muted>A design without a core of its own has this one.</Muted>}
    </Fold>
  );
}
