import { range } from '../../api/client';
import { usePreferences } from '../../app/preferences';
import { useBench } from '../../app/workbench';
import { Findings } from '../../app/Findings';
import { Heading, Pick, QuantityField } from '../../kit/kit';
import { Fields, FigureTable } from '../../kit/layout';
import { DemandPicture } from '../../pictures/DemandPicture';
import { Station } from '../Station';

const schoolNames = { SHARE_OF_POWER: 'Heat as a share of power', FRICTION: 'Heat from friction' } as const;

const GRADES = ['0W-20', '5W-30', '5W-40', '10W-40', '10W-60', '15W-40', '20W-50'];

/** What the car has to do, and the car that has to do it. */
export function Duty() {
  const { car, duty, changeCar, changeDuty, outcome } = useBench();
  const { show } = usePreferences();
  const grades = GRADES.includes(car.oil.grade) ? GRADES : [...GRADES, car.oil.grade];
  return (
    <Station
      choices={
        <>
          <Heading>{duty.name}</Heading>
          <Fields>
            <QuantityField
              label="Air temperature"
              quantity="temperature"
              value={duty.ambientC}
              step={1}
              {...range('DutyDocument', 'ambientC')}
              onChange={(ambientC) => changeDuty({ ...duty, ambientC })}
            />
            <QuantityField
              label="Altitude"
              quantity="distance"
              value={duty.altitudeM}
              step={10}
              {...range('DutyDocument', 'altitudeM')}
              onChange={(altitudeM) => changeDuty({ ...duty, altitudeM })}
            />
            <TrackFields />
            <ClimbFields />
            <CruiseFields />
          </Fields>
          <Heading>{car.name}</Heading>
          <Fields>
            <QuantityField
              label="Engine power"
              quantity="power"
              value={car.engine.powerKw}
              step={5}
              {...range('EngineDocument', 'powerKw')}
              onChange={(powerKw) => changeCar({ ...car, engine: { ...car.engine, powerKw } })}
            />
            <QuantityField
              label="Oil in the engine"
              quantity="volume"
              value={car.oilVolumeL}
              step={0.5}
              {...range('CarDocument', 'oilVolumeL')}
              onChange={(oilVolumeL) => changeCar({ ...car, oilVolumeL })}
            />
            <Pick
              label="Oil"
              value={car.oil.grade}
              options={grades.map((id) => ({ id, name: id }))}
              onChange={(grade) => changeCar({ ...car, oil: { grade } })}
            />
            <Pick
              label="Heat by"
              value={car.heat.school}
              options={[
                { id: 'SHARE_OF_POWER', name: 'Share of power' },
                { id: 'FRICTION', name: 'Friction' },
              ]}
              onChange={(school) => changeCar({ ...car, heat: { ...car.heat, school } })}
            />
            <QuantityField
              label="Planned power"
              quantity="power"
              value={car.engine.plannedPowerKw ?? car.engine.powerKw}
              step={5}
              {...range('EngineDocument', 'plannedPowerKw')}
              onChange={(plannedPowerKw) => changeCar({ ...car, engine: { ...car.engine, plannedPowerKw } })}
            />
            {car.heat.school === 'SHARE_OF_POWER' && car.heat.sharePercent !== undefined && (
              <QuantityField
                label="Share into the oil"
                suffix="%"
                value={car.heat.sharePercent}
                step={0.5}
                {...range('HeatDocument', 'sharePercent')}
                onChange={(sharePercent) => changeCar({ ...car, heat: { ...car.heat, sharePercent } })}
              />
            )}
          </Fields>
        </>
      }
      pictures={
        outcome && (
          <>
            <Heading>What the duty asks</Heading>
            <DemandPicture outcome={outcome} height={290} />
            <FigureTable>
              <thead>
                <tr>
                  <th scope="col">With this design</th>
                  <th scope="col">Heat</th>
                  <th scope="col">Plateau</th>
                  <th scope="col">Peak</th>
                </tr>
              </thead>
              <tbody>
                {outcome.schools.map((s) => (
                  <tr key={s.school} aria-current={s.school === car.heat.school}>
                    <th scope="row">
                      {schoolNames[s.school]}
                      {s.school === car.heat.school ? ', chosen' : ''}
                    </th>
                    <td>{show(s.meanHeatKw, 'heat')}</td>
                    <td>{show(s.plateauC, 'temperature')}</td>
                    <td>{show(s.peakC, 'temperature')}</td>
                  </tr>
                ))}
                {outcome.planned && (
                  <tr>
                    <th scope="row">With {show(car.engine.plannedPowerKw ?? 0, 'power')} as planned</th>
                    <td />
                    <td>{show(outcome.planned.plateauC, 'temperature')}</td>
                    <td>{show(outcome.planned.peakC, 'temperature')}</td>
                  </tr>
                )}
                <tr>
                  <th scope="row">Without a cooler</th>
                  <td />
                  <td>{show(outcome.bare.plateauC, 'temperature')}</td>
                  <td>{show(outcome.bare.peakC, 'temperature')}</td>
                </tr>
              </tbody>
            </FigureTable>
          </>
        )
      }
      side={<Findings />}
    />
  );
}

function TrackFields() {
  const { duty, changeDuty } = useBench();
  const track = duty.track;
  if (!track) {
    return null;
  }
  const fields = [
    { label: 'Flying laps', key: 'flyers' },
    { label: 'Out laps', key: 'outLaps' },
    { label: 'Cool-down laps', key: 'coolDownLaps' },
    { label: 'Stints', key: 'stints' },
  ] as const;
  return fields.map((f) => (
    <QuantityField
      key={f.key}
      label={f.label}
      value={track[f.key]}
      step={1}
      {...range('TrackDocument', f.key)}
      onChange={(v) => changeDuty({ ...duty, track: { ...track, [f.key]: Math.round(v) } })}
    />
  ));
}

function ClimbFields() {
  const { duty, changeDuty } = useBench();
  const climb = duty.climb;
  if (!climb) {
    return null;
  }
  const set = (change: Partial<typeof climb>) => changeDuty({ ...duty, climb: { ...climb, ...change } });
  return (
    <>
      <QuantityField
        label="Climb length"
        quantity="distance"
        value={climb.lengthM}
        step={100}
        {...range('ClimbDocument', 'lengthM')}
        onChange={(lengthM) => set({ lengthM })}
      />
      <QuantityField
        label="Grade"
        suffix="%"
        value={climb.gradePercent}
        step={0.5}
        {...range('ClimbDocument', 'gradePercent')}
        onChange={(gradePercent) => set({ gradePercent })}
      />
      <QuantityField
        label="Speed up the hill"
        quantity="speed"
        value={climb.speedKmh}
        step={5}
        {...range('ClimbDocument', 'speedKmh')}
        onChange={(speedKmh) => set({ speedKmh })}
      />
      <QuantityField
        label="Trailer"
        quantity="mass"
        value={climb.trailerKg}
        step={50}
        {...range('ClimbDocument', 'trailerKg')}
        onChange={(trailerKg) => set({ trailerKg })}
      />
    </>
  );
}

function CruiseFields() {
  const { duty, changeDuty } = useBench();
  const cruise = duty.cruise;
  if (!cruise) {
    return null;
  }
  return (
    <QuantityField
      label="Road speed"
      quantity="speed"
      value={cruise.speedKmh}
      step={5}
      {...range('CruiseDocument', 'speedKmh')}
      onChange={(speedKmh) => changeDuty({ ...duty, cruise: { ...cruise, speedKmh } })}
    />
  );
}
