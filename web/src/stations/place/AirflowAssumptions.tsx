import { usePresets } from '../../bench/presets';
import { DocumentNumber } from '../../kit/fields';
import { Fold, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { SealingAndShade, useCooler } from '../core/coolerFields';

/** The air as it is taken to be where nothing has been measured. */
export function AirflowAssumptions({ open }: { open: boolean }) {
  const { starts, usual } = usePresets();
  const { cooler, set } = useCooler();
  if (!cooler) {
    return null;
  }
  return (
    <Fold
      name="Airflow assumptions"
      short={`${cooler.sealingPercent.toFixed(0)} % sealed, ${cooler.shadedPercent.toFixed(0)} % shaded`}
      open={open}
    >
      <Fields>
        <SealingAndShade />
        <DocumentNumber
          label="Opening"
          schema="CoolerDocument"
          field="openingCm2"
          quantity="area"
          value={cooler.openingCm2}
          step={10}
          onChange={(openingCm2) => set({ openingCm2 })}
        />
        {usual.ownStream.includes(cooler.place) && (
          <Toggle
            label="Outlet not as wide as the core"
            value={cooler.outletCm2 !== undefined}
            onChange={(on) => set({ outletCm2: on ? cooler.openingCm2 : undefined })}
          />
        )}
        {usual.ownStream.includes(cooler.place) && cooler.outletCm2 !== undefined && (
          <DocumentNumber
            label="Outlet"
            schema="CoolerDocument"
            field="outletCm2"
            quantity="area"
            value={cooler.outletCm2}
            step={10}
            onChange={(outletCm2) => set({ outletCm2 })}
          />
        )}
        <DocumentNumber
          label="Heat ahead of it"
          schema="CoolerDocument"
          field="heatAheadKw"
          quantity="power"
          value={cooler.heatAheadKw ?? 0}
          step={1}
          onChange={(heatAheadKw) => set({ heatAheadKw: heatAheadKw || undefined })}
        />
        <DocumentNumber
          label="Duct loss"
          schema="CoolerDocument"
          field="ductHeads"
          suffix="heads"
          value={cooler.ductHeads ?? 0}
          step={0.1}
          onChange={(ductHeads) => set({ ductHeads })}
        />
        <Toggle
          label="Measured pressure"
          value={cooler.measured !== undefined}
          onChange={(on) => set({ measured: on ? starts.measuredPressure : undefined })}
        />
        <Toggle
          label="Intake behind it"
          value={cooler.intakeBehind === true}
          onChange={(on) => set({ intakeBehind: on ? true : undefined })}
        />
        {cooler.measured && (
          <>
            <DocumentNumber
              label="Across the core"
              schema="PressureDocument"
              field="pa"
              suffix="Pa"
              value={cooler.measured.pa}
              step={10}
              onChange={(pa) => cooler.measured && set({ measured: { ...cooler.measured, pa } })}
            />
            <DocumentNumber
              label="at"
              schema="PressureDocument"
              field="speedKmh"
              quantity="speed"
              value={cooler.measured.speedKmh}
              step={5}
              onChange={(speedKmh) => cooler.measured && set({ measured: { ...cooler.measured, speedKmh } })}
            />
          </>
        )}
      </Fields>
    </Fold>
  );
}
