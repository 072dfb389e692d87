import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { call, create, type CarView, type DutyDocument, type Schemas } from '../../api/client';
import { useGo } from '../../app/Shell';
import { useBench } from '../../app/workbench';
import { DocumentNumber } from '../../kit/fields';
import { Actions, AskName, AskSure, Button, Heading, Muted, Pick, Row, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { Profile } from '../../pictures/Profile';
import { lapNodes, moveLapNode, moveSlopeNode, removeLapNode, setLength, slopeNodes, splitStretch } from './lap';

/** What a new duty of each kind begins as. */
const STARTS: Record<'track' | 'climb' | 'cruise' | 'warmUp' | 'soak', Omit<DutyDocument, 'ambientC' | 'altitudeM'>> = {
  track: {
    name: 'A track session',
    track: {
      stretches: [
        { lengthM: 500, entryKmh: 90, exitKmh: 180 },
        { lengthM: 120, entryKmh: 180, exitKmh: 80 },
        { lengthM: 150, entryKmh: 80, exitKmh: 80 },
        { lengthM: 400, entryKmh: 80, exitKmh: 160 },
        { lengthM: 130, entryKmh: 160, exitKmh: 90 },
      ],
      outLaps: 1,
      flyers: 10,
      coolDownLaps: 1,
      pitSeconds: 0,
      stints: 1,
    },
  },
  climb: {
    name: 'A climb',
    climb: {
      slopes: [
        { lengthM: 3000, gradePercent: 4 },
        { lengthM: 5000, gradePercent: 7 },
      ],
      speedKmh: 60,
      trailerKg: 0,
      trailerDragAreaM2: 0,
      approachSeconds: 300,
    },
  },
  cruise: { name: 'A motorway', cruise: { speedKmh: 130, durationSeconds: 2400 } },
  warmUp: { name: 'A cold start', cruise: { speedKmh: 60, durationSeconds: 1800, coldStart: true } },
  soak: { name: 'A stop after hard driving', soak: { idleSeconds: 120, offSeconds: 1200, oilC: 125, coolantC: 98 } },
};

/** Which duty, and what can be done with it. */
export function DutyPick() {
  const { view, dutyId, duty, changeDuty } = useBench();
  const client = useQueryClient();
  const go = useGo();
  const [asked, setAsked] = useState<'rename' | 'remove'>();
  const add = async (start: Omit<DutyDocument, 'ambientC' | 'altitudeM'>) => {
    const added = await create<Schemas['DutyView']>(`/cars/${view.id}/duties`, {
      ambientC: duty.ambientC,
      altitudeM: duty.altitudeM,
      ...start,
    });
    client.setQueryData<CarView>(['car', view.id], (v) => v && { ...v, duties: [...v.duties, added] });
    go({ duty: added.id });
  };
  const remove = async () => {
    const version = view.duties.find((d) => d.id === dutyId)?.version;
    await call('DELETE', `/duties/${dutyId}`, undefined, { headers: { 'If-Match': `"${version}"` } });
    const left = view.duties.filter((d) => d.id !== dutyId);
    client.setQueryData<CarView>(['car', view.id], (v) => v && { ...v, duties: left });
    go({ duty: left[0]?.id ?? '' });
  };
  return (
    <Row style={{ flexWrap: 'nowrap', alignItems: 'end' }}>
      <div style={{ flex: 1, minWidth: 0 }}>
        <Pick
          label="Duty"
          value={dutyId}
          options={view.duties.map((d) => ({ id: d.id, name: d.id === dutyId ? duty.name : d.duty.name }))}
          onChange={(id) => go({ duty: id })}
        />
      </div>
      <Actions
        label="More about this duty"
        actions={[
          { id: 'track', name: 'New: laps of a circuit', run: () => void add(STARTS.track) },
          { id: 'climb', name: 'New: a climb', run: () => void add(STARTS.climb) },
          { id: 'cruise', name: 'New: steady driving', run: () => void add(STARTS.cruise) },
          { id: 'warmUp', name: 'New: a cold start', run: () => void add(STARTS.warmUp) },
          { id: 'soak', name: 'New: a stop after hard driving', run: () => void add(STARTS.soak) },
          {
            id: 'copy',
            name: 'Copy this duty',
            run: () => void add({ ...duty, name: `${duty.name}, copy`.slice(0, 120) }),
          },
          { id: 'rename', name: 'Rename…', run: () => setAsked('rename') },
          { id: 'remove', name: 'Remove…', disabled: view.duties.length < 2, run: () => setAsked('remove') },
        ]}
      />
      {asked === 'rename' && (
        <AskName
          title="Rename this duty"
          label="Name"
          value={duty.name}
          action="Rename"
          onClose={() => setAsked(undefined)}
          onName={(name) => changeDuty({ ...duty, name })}
        />
      )}
      {asked === 'remove' && (
        <AskSure
          title="Remove this duty"
          text={`“${duty.name}” goes for good. Designs and logs stay.`}
          action="Remove it"
          onClose={() => setAsked(undefined)}
          onSure={() => void remove()}
        />
      )}
    </Row>
  );
}

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
              ? `${((nodes[nodes.length - 1]?.x ?? 0) / 1000).toFixed(2)} km`
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
