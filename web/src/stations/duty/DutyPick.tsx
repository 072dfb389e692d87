import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { amendCar } from '../../api/amend';
import { api, read, basedOn, create, type DutyDocument } from '../../api/client';
import { useGo } from '../../bench/useGo';
import { useBench } from '../../bench/workbench';
import { Actions, AskName, AskSure, Pick, Row } from '../../kit/kit';
import { usePresets } from '../../bench/presets';

const NEW: Record<string, string> = {
  track: 'New: laps of a circuit',
  climb: 'New: a climb',
  mountain: 'New: a mountain road',
  cruise: 'New: steady driving',
  warmUp: 'New: a cold start',
  soak: 'New: a stop after hard driving',
};

/** Which duty, and what can be done with it. */
export function DutyPick() {
  const { starts } = usePresets();
  const { view, dutyId, duty, now, changeDuty } = useBench();
  const client = useQueryClient();
  const go = useGo();
  const [asked, setAsked] = useState<'rename' | 'remove'>();
  const add = async (start: DutyDocument) => {
    const added = await create((header) =>
      api.POST('/api/cars/{carId}/duties', {
        params: { path: { carId: view.id }, header },
        body: { ...start, ambientC: duty.ambientC, altitudeM: duty.altitudeM },
      }),
    );
    await amendCar(client, view.id, (v) => ({ ...v, duties: [...v.duties, added] }));
    go({ duty: added.id });
  };
  const remove = async () => {
    const version = view.duties.find((d) => d.id === dutyId)?.version;
    await read(api.DELETE('/api/duties/{id}', { params: { path: { id: dutyId }, header: basedOn(version) } }));
    const left = view.duties.filter((d) => d.id !== dutyId);
    await amendCar(client, view.id, (v) => ({ ...v, duties: v.duties.filter((d) => d.id !== dutyId) }));
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
          ...starts.duties.map((d) => ({ id: d.id, name: NEW[d.id] ?? d.duty.name, run: () => void add(d.duty) })),
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
          onName={(name) => changeDuty({ ...now().duty, name })}
        />
      )}
      {asked === 'remove' && (
        <AskSure
          title="Remove this duty"
          text={`“${duty.name}” goes for good. Designs and logs stay.`}
          action="Remove it"
          onClose={() => setAsked(undefined)}
          onSure={remove}
        />
      )}
    </Row>
  );
}
