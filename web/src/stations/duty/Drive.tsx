import { usePreferences } from '../../preferences/preferences';
import { useState } from 'react';
import { useBench } from '../../bench/workbench';
import { DocumentNumber } from '../../kit/fields';
import { Button, Heading, Muted, Row, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { Profile } from '../../pictures/Profile';
import { lapNodes, moveLapNode, moveSlopeNode, removeLapNode, setLength, slopeNodes, splitStretch } from './lap';

/** The numbers of the duty beside its picture. */
export function DriveFields() {
  const { duty, changeDuty } = useBench();
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
        onChange={(ambientC) => changeDuty({ ...duty, ambientC })}
      />
      <DocumentNumber
        label="Altitude"
        schema="DutyDocument"
        field="altitudeM"
        quantity="distance"
        value={duty.altitudeM}
        step={10}
        onChange={(altitudeM) => changeDuty({ ...duty, altitudeM })}
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
            onChange={(v) => changeDuty({ ...duty, track: { ...track, [field]: Math.round(v) } })}
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
            onChange={(speedKmh) => changeDuty({ ...duty, climb: { ...climb, speedKmh } })}
          />
          <DocumentNumber
            label="Trailer"
            schema="ClimbDocument"
            field="trailerKg"
            quantity="mass"
            value={climb.trailerKg}
            step={50}
            onChange={(trailerKg) => changeDuty({ ...duty, climb: { ...climb, trailerKg } })}
          />
          <DocumentNumber
            label="Trailer drag area"
            schema="ClimbDocument"
            field="trailerDragAreaM2"
            suffix="m²"
            digits={2}
            value={climb.trailerDragAreaM2}
            step={0.1}
            onChange={(trailerDragAreaM2) => changeDuty({ ...duty, climb: { ...climb, trailerDragAreaM2 } })}
          />
          <DocumentNumber
            label="Level road before"
            schema="ClimbDocument"
            field="approachSeconds"
            suffix="s"
            value={climb.approachSeconds}
            step={30}
            onChange={(approachSeconds) => changeDuty({ ...duty, climb: { ...climb, approachSeconds } })}
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
            onChange={(speedKmh) => changeDuty({ ...duty, cruise: { ...cruise, speedKmh } })}
          />
          <DocumentNumber
            label="For"
            schema="CruiseDocument"
            field="durationSeconds"
            suffix="s"
            value={cruise.durationSeconds}
            step={60}
            onChange={(durationSeconds) => changeDuty({ ...duty, cruise: { ...cruise, durationSeconds } })}
          />
          <Toggle
            label="From cold"
            value={cruise.coldStart === true}
            onChange={(coldStart) => changeDuty({ ...duty, cruise: { ...cruise, coldStart } })}
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
            onChange={(v) => changeDuty({ ...duty, soak: { ...soak, [field]: v } })}
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
            onChange={(startOilC) => changeDuty({ ...duty, log: { ...log, startOilC } })}
          />
          <DocumentNumber
            label="Coolant at its start"
            schema="DrivenDocument"
            field="startCoolantC"
            quantity="temperature"
            value={log.startCoolantC}
            step={1}
            onChange={(startCoolantC) => changeDuty({ ...duty, log: { ...log, startCoolantC } })}
          />
        </>
      )}
    </Fields>
  );
}

/** The duty as a picture that can be edited, for those kinds that have a shape. */
export function DriveEditor() {
  const { show } = usePreferences();
  const { duty, changeDuty } = useBench();
  const [selected, setSelected] = useState(0);
  if (duty.track) {
    const track = duty.track;
    const stretches = track.stretches;
    const nodes = lapNodes(stretches);
    const at = Math.min(selected, nodes.length - 1);
    const stretch = stretches[at % stretches.length];
    const set = (next: typeof stretches) => changeDuty({ ...duty, track: { ...track, stretches: next } });
    return (
      <>
        <Row style={{ justifyContent: 'space-between' }}>
          <Heading>The lap</Heading>
          <Muted>
            {(nodes[nodes.length - 1]?.x ?? 0) / 1000 < 10
              ? show((nodes[nodes.length - 1]?.x ?? 0) / 1000, 'travel', 2)
              : ''}
          </Muted>
        </Row>
        <Profile
          label="Speed over the lap"
          nodes={nodes}
          x={{ quantity: 'distance', label: 'Along the lap', step: 5 }}
          y={{ quantity: 'speed', label: 'Speed', step: 1 }}
          yFrom={0}
          selected={at}
          onSelect={setSelected}
          onMove={(node, x, y) => set(moveLapNode(stretches, node, x, y))}
          height={190}
        />
        {stretch && (
          <Row style={{ alignItems: 'end' }}>
            <div style={{ width: 150 }}>
              <DocumentNumber
                label={`Speed at point ${(at % stretches.length) + 1}`}
                schema="StretchDocument"
                field="entryKmh"
                quantity="speed"
                value={nodes[at]?.y ?? 0}
                step={1}
                onChange={(v) => set(moveLapNode(stretches, at, nodes[at]?.x ?? 0, v))}
              />
            </div>
            <div style={{ width: 150 }}>
              <DocumentNumber
                label="Length from there"
                schema="StretchDocument"
                field="lengthM"
                quantity="distance"
                value={stretch.lengthM}
                step={5}
                onChange={(v) => set(setLength(stretches, at % stretches.length, v))}
              />
            </div>
            <Button onPress={() => set(splitStretch(stretches, at % stretches.length))}>Add point</Button>
            <Button
              aria-label="Remove this point"
              isDisabled={stretches.length < 2}
              onPress={() => set(removeLapNode(stretches, at))}
            >
              Remove
            </Button>
          </Row>
        )}
      </>
    );
  }
  if (duty.climb) {
    const climb = duty.climb;
    const slopes = climb.slopes;
    const nodes = slopeNodes(slopes);
    const at = Math.max(1, Math.min(selected, nodes.length - 1));
    const slope = slopes[at - 1];
    const set = (next: typeof slopes) => changeDuty({ ...duty, climb: { ...climb, slopes: next } });
    const change = (part: Partial<NonNullable<typeof slope>>) =>
      set(slopes.map((s, i) => (i === at - 1 ? { ...s, ...part } : s)));
    return (
      <>
        <Heading>The climb</Heading>
        <Profile
          label="Height over the climb"
          nodes={nodes}
          x={{ quantity: 'distance', label: 'Along the road', step: 10 }}
          y={{ quantity: 'distance', label: 'Height', step: 1 }}
          selected={at}
          onSelect={setSelected}
          onMove={(node, x, y) => set(moveSlopeNode(slopes, node, x, y))}
          height={190}
        />
        {slope && (
          <Row style={{ alignItems: 'end' }}>
            <div style={{ width: 150 }}>
              <DocumentNumber
                label={`Length of slope ${at}`}
                schema="SlopeDocument"
                field="lengthM"
                quantity="distance"
                value={slope.lengthM}
                step={50}
                onChange={(lengthM) => change({ lengthM })}
              />
            </div>
            <div style={{ width: 150 }}>
              <DocumentNumber
                label={`Grade of slope ${at}`}
                schema="SlopeDocument"
                field="gradePercent"
                suffix="%"
                value={slope.gradePercent}
                step={0.5}
                onChange={(gradePercent) => change({ gradePercent })}
              />
            </div>
            <Button
              onPress={() =>
                set(
                  slopes.flatMap((s, i) =>
                    i === at - 1
                      ? [
                          { ...s, lengthM: s.lengthM / 2 },
                          { ...s, lengthM: s.lengthM / 2 },
                        ]
                      : [s],
                  ),
                )
              }
            >
              Add point
            </Button>
            <Button
              aria-label="Take this slope out"
              isDisabled={slopes.length < 2}
              onPress={() => set(slopes.filter((_, i) => i !== at - 1))}
            >
              Remove
            </Button>
          </Row>
        )}
      </>
    );
  }
  return null;
}
