import { useBench } from '../../bench/workbench';
import { DocumentNumber } from '../../kit/fields';
import { Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';

/** The numbers of the duty beside its picture. */
export function DriveFields() {
  const { duty, now, changeDuty } = useBench();
  const { track, climb, cruise, soak, log } = duty;
  return (
    <Fields>
      <DocumentNumber
        label="Air temperature"
        schema="DutyDocument"
        field="ambientC"
        quantity="temperature"
        value={duty.ambientC}
        step={1}
        onChange={(ambientC) => changeDuty({ ...now().duty, ambientC })}
      />
      <DocumentNumber
        label="Altitude"
        schema="DutyDocument"
        field="altitudeM"
        quantity="distance"
        value={duty.altitudeM}
        step={10}
        onChange={(altitudeM) => changeDuty({ ...now().duty, altitudeM })}
      />
      {track &&
        (
          [
            ['Out laps', 'outLaps', 1, undefined],
            ['Flying laps', 'flyers', 1, undefined],
            ['Cool-down laps', 'coolDownLaps', 1, undefined],
            ['Time in the pits', 'pitSeconds', 30, 's'],
            ['Stints', 'stints', 1, undefined],
          ] as const
        ).map(([label, field, step, suffix]) => (
          <DocumentNumber
            key={field}
            label={label}
            schema="TrackDocument"
            field={field}
            value={track[field]}
            step={step}
            {...(suffix ? { suffix } : {})}
            onChange={(v) => changeDuty({ ...now().duty, track: { ...track, [field]: Math.round(v) } })}
          />
        ))}
      {climb && (
        <>
          <DocumentNumber
            label="Speed up the hill"
            schema="ClimbDocument"
            field="speedKmh"
            quantity="speed"
            value={climb.speedKmh}
            step={5}
            onChange={(speedKmh) => changeDuty({ ...now().duty, climb: { ...climb, speedKmh } })}
          />
          <DocumentNumber
            label="Trailer"
            schema="ClimbDocument"
            field="trailerKg"
            quantity="mass"
            value={climb.trailerKg}
            step={50}
            onChange={(trailerKg) => changeDuty({ ...now().duty, climb: { ...climb, trailerKg } })}
          />
          <DocumentNumber
            label="Trailer drag area"
            schema="ClimbDocument"
            field="trailerDragAreaM2"
            suffix="m²"
            digits={2}
            value={climb.trailerDragAreaM2}
            step={0.1}
            onChange={(trailerDragAreaM2) => changeDuty({ ...now().duty, climb: { ...climb, trailerDragAreaM2 } })}
          />
          <DocumentNumber
            label="Level road before"
            schema="ClimbDocument"
            field="approachSeconds"
            suffix="s"
            value={climb.approachSeconds}
            step={30}
            onChange={(approachSeconds) => changeDuty({ ...now().duty, climb: { ...climb, approachSeconds } })}
          />
        </>
      )}
      {cruise && (
        <>
          <DocumentNumber
            label="Road speed"
            schema="CruiseDocument"
            field="speedKmh"
            quantity="speed"
            value={cruise.speedKmh}
            step={5}
            onChange={(speedKmh) => changeDuty({ ...now().duty, cruise: { ...cruise, speedKmh } })}
          />
          <DocumentNumber
            label="For"
            schema="CruiseDocument"
            field="durationSeconds"
            suffix="s"
            value={cruise.durationSeconds}
            step={60}
            onChange={(durationSeconds) => changeDuty({ ...now().duty, cruise: { ...cruise, durationSeconds } })}
          />
          <Toggle
            label="From cold"
            value={cruise.coldStart === true}
            onChange={(coldStart) => changeDuty({ ...now().duty, cruise: { ...cruise, coldStart } })}
          />
        </>
      )}
      {soak &&
        (
          [
            ['At idle', 'idleSeconds', undefined, 's', 30],
            ['Engine off', 'offSeconds', undefined, 's', 60],
            ['Oil at the stop', 'oilC', 'temperature', undefined, 1],
            ['Coolant at the stop', 'coolantC', 'temperature', undefined, 1],
          ] as const
        ).map(([label, field, quantity, suffix, step]) => (
          <DocumentNumber
            key={field}
            label={label}
            schema="SoakDocument"
            field={field}
            value={soak[field]}
            step={step}
            {...(quantity ? { quantity } : {})}
            {...(suffix ? { suffix } : {})}
            onChange={(v) => changeDuty({ ...now().duty, soak: { ...soak, [field]: v } })}
          />
        ))}
      {log && (
        <>
          <DocumentNumber
            label="Oil at its start"
            schema="DrivenDocument"
            field="startOilC"
            quantity="temperature"
            value={log.startOilC}
            step={1}
            onChange={(startOilC) => changeDuty({ ...now().duty, log: { ...log, startOilC } })}
          />
          <DocumentNumber
            label="Coolant at its start"
            schema="DrivenDocument"
            field="startCoolantC"
            quantity="temperature"
            value={log.startCoolantC}
            step={1}
            onChange={(startCoolantC) => changeDuty({ ...now().duty, log: { ...log, startCoolantC } })}
          />
        </>
      )}
    </Fields>
  );
}
