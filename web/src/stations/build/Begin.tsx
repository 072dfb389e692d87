import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, create } from '../../api/client';
import { queries } from '../../api/queries';
import { useBench } from '../../bench/workbench';
import { AskName, Button, Muted } from '../../kit/kit';
import { Preview } from './Preview';

export function Begin({ onBegun }: { onBegun: (id: string) => void }) {
  const { view, car, duty, design } = useBench();
  const client = useQueryClient();
  const [asked, setAsked] = useState(false);
  const [preview, setPreview] = useState(false);
  const [said, setSaid] = useState<string>();
  const begin = async (name: string) => {
    try {
      const begun = await create((header) =>
        api.POST('/api/cars/{carId}/builds', {
          params: { path: { carId: view.id }, header },
          body: { name, car, duty, design },
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
      <Button style={{ minHeight: 56 }} onPress={() => setAsked(true)} isDisabled={!design.cooler}>
        Begin a build of “{design.name}”
      </Button>
      <Button isDisabled={!design.cooler} onPress={() => setPreview(true)}>
        Preview this build…
      </Button>
      {preview && <Preview onClose={() => setPreview(false)} />}
      {!design.cooler && <Muted>This design has no cooler: there is nothing to build.</Muted>}
      {design.cooler && !design.plumbing && (
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
