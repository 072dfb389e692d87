import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { call, create, type CarView, type DutyDocument, type Schemas } from '../../api/client';
import { useGo } from '../../bench/useGo';
import { useBench } from '../../bench/workbench';
import { Actions, AskName, AskSure, Pick, Row } from '../../kit/kit';

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
