import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, create } from '../../api/client';
import { queries } from '../../api/queries';
import { useBench } from '../../bench/workbench';
import { AskName, Button, Muted, Pick } from '../../kit/kit';
import { AddCore } from '../core/AddCore';
import { WorkFields } from '../core/WorkFields';
import { useMay } from '../../bench/me';
import { Preview } from './Preview';

export function Begin({ onBegun }: { onBegun: (id: string) => void }) {
  const { view, car, duty, design } = useBench();
  const keeps = useMay('BUILDER');
  const client = useQueryClient();
  const [asked, setAsked] = useState(false);
  const [preview, setPreview] = useState(false);
  const [said, setSaid] = useState<string>();
  const [coolant, setCoolant] = useState<'design' | 'opened' | 'stays'>('design');
  const buildable = design.cooler !== undefined || design.work === 'EXCHANGER';
  const body = { car, duty, design, ...(coolant === 'design' ? {} : { coolantOpened: coolant === 'opened' }) };
  const begin = async (name: string) => {
    try {
      const begun = await create((header) =>
        api.POST('/api/cars/{carId}/builds', {
          params: { path: { carId: view.id }, header },
          body: { name, ...body },
        }),
      );
      client.setQueryData(queries.build(begun.id).queryKey, begun);
      await client.cancelQueries(queries.builds(view.id));
      await client.invalidateQueries(queries.builds(view.id));
      onBegun(begun.id);
    } catch (e) {
      setSaid((e as Error).message);
    }
  };
  return (
    <>
      <Button style={{ minHeight: 56 }} onPress={() => setAsked(true)} isDisabled={!buildable || !keeps}>
        Begin a build of “{design.name}”
      </Button>
      <Button isDisabled={!buildable} onPress={() => setPreview(true)}>
        Preview this build…
      </Button>
      {preview && <Preview body={{ name: design.name, ...body }} onClose={() => setPreview(false)} />}
      {buildable ? (
        <>
          <WorkFields />
          <Pick
            label="Coolant"
            value={coolant}
            options={[
              { id: 'design', name: 'As this design says' },
              { id: 'opened', name: 'Drained: the radiator or a hose comes off' },
              { id: 'stays', name: 'Stays in' },
            ]}
            onChange={setCoolant}
          />
        </>
      ) : (
        <>
          <Muted>This design has no core of its own: there is nothing to build yet.</Muted>
          <AddCore why="Add one here, or choose what of the factory cooler is changed." />
        </>
      )}
      {design.cooler && !design.plumbing && ['WHOLE', 'IN_SERIES', 'HOSES'].includes(design.work ?? 'WHOLE') && (
        <Muted>Its hoses are not planned yet: the sheet will ask for them to be measured at the car.</Muted>
      )}
      {said && <p role="alert">▲ {said}</p>}
      {asked && (
        <AskName
          title="Begin a build"
          label="Name of the build"
          value={design.name}
          action="Begin"
          onClose={() => setAsked(false)}
          onName={(name) => void begin(name)}
        />
      )}
    </>
  );
}
