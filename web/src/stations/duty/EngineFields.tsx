import { usePreferences } from '../../preferences/preferences';
import { useBench } from '../../bench/workbench';
import { DocumentNumber } from '../../kit/fields';
import { Fold, Muted, Pick, Row, TextEntry, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { TakeLogOut } from './TakeLogOut';

/** What makes the power, and how its heat gets into the oil. */
export function EngineFields() {
  const { car, now, changeCar } = useBench();
  const { show } = usePreferences();
  const { engine, heat } = car;
  return (
    <>
      <Fold name="Engine" short={`${show(engine.powerKw, 'power')}, ${engine.displacementL} L`} open>
        <TextEntry label="Name of the car" value={car.name} onChange={(name) => changeCar({ ...now().car, name })} />
        <Fields>
          <DocumentNumber
            label="Engine power"
            schema="EngineDocument"
            field="powerKw"
            quantity="power"
            value={engine.powerKw}
            step={5}
            onChange={(powerKw) => changeCar({ ...now().car, engine: { ...engine, powerKw } })}
          />
          <DocumentNumber
            label="Planned power"
            schema="EngineDocument"
            field="plannedPowerKw"
            quantity="power"
            value={engine.plannedPowerKw ?? engine.powerKw}
            step={5}
            onChange={(plannedPowerKw) => changeCar({ ...now().car, engine: { ...engine, plannedPowerKw } })}
          />
          <Pick
            label="Induction"
            value={engine.aspiration}
            options={[
              { id: 'NATURAL', name: 'Naturally' },
              { id: 'TURBO', name: 'Turbo petrol' },
              { id: 'TURBO_DIESEL', name: 'Turbo-diesel' },
            ]}
            onChange={(aspiration) => changeCar({ ...now().car, engine: { ...engine, aspiration } })}
          />
          <DocumentNumber
            label="Boost"
            schema="EngineDocument"
            field="boostBar"
            quantity="pressure"
            value={engine.boostBar}
            step={0.1}
            onChange={(boostBar) => changeCar({ ...now().car, engine: { ...engine, boostBar } })}
          />
          <DocumentNumber
            label="Capacity"
            schema="EngineDocument"
            field="displacementL"
            suffix="L"
            digits={2}
            value={engine.displacementL}
            step={0.1}
            onChange={(displacementL) => changeCar({ ...now().car, engine: { ...engine, displacementL } })}
          />
          <DocumentNumber
            label="Maximum engine speed"
            schema="EngineDocument"
            field="maxRpm"
            suffix="rpm"
            value={engine.maxRpm}
            step={100}
            onChange={(maxRpm) => changeCar({ ...now().car, engine: { ...engine, maxRpm } })}
          />
          <DocumentNumber
            label="Idle"
            schema="EngineDocument"
            field="idleRpm"
            suffix="rpm"
            value={engine.idleRpm}
            step={50}
            onChange={(idleRpm) => changeCar({ ...now().car, engine: { ...engine, idleRpm } })}
          />
          <Toggle
            label="Piston jets"
            value={engine.pistonJets}
            onChange={(pistonJets) => changeCar({ ...now().car, engine: { ...engine, pistonJets } })}
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
            onChange={(school) => changeCar({ ...now().car, heat: { ...heat, school } })}
          />
          <DocumentNumber
            label="Share into the oil"
            schema="HeatDocument"
            field="sharePercent"
            suffix="%"
            value={heat.sharePercent ?? { NATURAL: 6, TURBO: 9, TURBO_DIESEL: 7 }[engine.aspiration]}
            step={0.5}
            onChange={(sharePercent) => changeCar({ ...now().car, heat: { ...heat, sharePercent } })}
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
    </>
  );
}
