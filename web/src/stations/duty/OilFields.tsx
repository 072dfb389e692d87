import { usePreferences } from '../../preferences/preferences';
import { useBench } from '../../bench/workbench';
import { DocumentNumber } from '../../kit/fields';
import { Fold, Pick, TextEntry, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { usePresets } from '../../bench/presets';

/** What the engine runs on. */
export function OilFields() {
  const { grades, starts } = usePresets();
  const { ownOil } = starts;
  const { car, now, changeCar } = useBench();
  const { show } = usePreferences();
  const { oil } = car;
  const own = !grades.includes(oil.grade);
  return (
    <Fold name="Oil" short={`${oil.grade}, ${show(car.oilVolumeL, 'volume')}`} open>
      <Fields>
        <Pick
          label="Oil"
          value={own ? 'own' : oil.grade}
          options={[...grades.map((id) => ({ id, name: id })), { id: 'own', name: 'Own, by its data sheet' }]}
          onChange={(grade) =>
            changeCar({
              ...now().car,
              oil: grade === 'own' ? ownOil : { grade },
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
          onChange={(oilVolumeL) => changeCar({ ...now().car, oilVolumeL })}
        />
        {own && (
          <>
            <TextEntry
              label="Oil name"
              longest={60}
              value={oil.grade}
              onChange={(grade) => changeCar({ ...now().car, oil: { ...oil, grade } })}
            />
            <DocumentNumber
              label="KV100"
              schema="OilDocument"
              field="kv100Cst"
              suffix="cSt"
              digits={1}
              value={oil.kv100Cst ?? ownOil.kv100Cst ?? 0}
              step={0.1}
              onChange={(kv100Cst) => changeCar({ ...now().car, oil: { ...oil, kv100Cst } })}
            />
            {oil.viscosityIndex === undefined ? (
              <DocumentNumber
                label="KV40"
                schema="OilDocument"
                field="kv40Cst"
                suffix="cSt"
                digits={1}
                value={oil.kv40Cst ?? ownOil.kv40Cst ?? 0}
                step={1}
                onChange={(kv40Cst) => changeCar({ ...now().car, oil: { ...oil, kv40Cst } })}
              />
            ) : (
              <DocumentNumber
                label="Viscosity index"
                schema="OilDocument"
                field="viscosityIndex"
                value={oil.viscosityIndex}
                step={1}
                onChange={(viscosityIndex) => changeCar({ ...now().car, oil: { ...oil, viscosityIndex } })}
              />
            )}
            <DocumentNumber
              label={`Density at ${show(15, 'temperature')}`}
              schema="OilDocument"
              field="density15"
              suffix="kg/m³"
              value={oil.density15 ?? ownOil.density15 ?? 0}
              step={1}
              onChange={(density15) => changeCar({ ...now().car, oil: { ...oil, density15 } })}
            />
            <Toggle
              label="By viscosity index"
              value={oil.viscosityIndex !== undefined}
              onChange={(on) => {
                const rest = { ...oil };
                delete rest.kv40Cst;
                delete rest.viscosityIndex;
                changeCar({
                  ...now().car,
                  oil: on ? { ...rest, viscosityIndex: starts.viscosityIndex } : { ...rest, kv40Cst: ownOil.kv40Cst },
                });
              }}
            />
          </>
        )}
      </Fields>
    </Fold>
  );
}

/** What the oil pump gives and the gauge shows. */
export function PumpFields() {
  const { car, now, changeCar } = useBench();
  const { show } = usePreferences();
  const { pump, gauge } = car;
  return (
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
          onChange={(cm3PerRev) => changeCar({ ...now().car, pump: { ...pump, cm3PerRev } })}
        />
        <DocumentNumber
          label="Volumetric efficiency"
          schema="PumpDocument"
          field="volumetricPercent"
          suffix="%"
          value={pump.volumetricPercent}
          step={1}
          onChange={(volumetricPercent) => changeCar({ ...now().car, pump: { ...pump, volumetricPercent } })}
        />
        <DocumentNumber
          label="Relief opens at"
          schema="PumpDocument"
          field="reliefBar"
          quantity="pressure"
          value={pump.reliefBar}
          step={0.1}
          onChange={(reliefBar) => changeCar({ ...now().car, pump: { ...pump, reliefBar } })}
        />
        <DocumentNumber
          label="Gauge reads"
          schema="GaugeDocument"
          field="bar"
          quantity="pressure"
          value={gauge.bar}
          step={0.1}
          onChange={(bar) => changeCar({ ...now().car, gauge: { ...gauge, bar } })}
        />
        <DocumentNumber
          label="at"
          schema="GaugeDocument"
          field="rpm"
          suffix="rpm"
          value={gauge.rpm}
          step={50}
          onChange={(rpm) => changeCar({ ...now().car, gauge: { ...gauge, rpm } })}
        />
        <DocumentNumber
          label="with oil of"
          schema="GaugeDocument"
          field="oilC"
          quantity="temperature"
          value={gauge.oilC}
          step={1}
          onChange={(oilC) => changeCar({ ...now().car, gauge: { ...gauge, oilC } })}
        />
      </Fields>
    </Fold>
  );
}
