import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { amendCar } from '../api/amend';
import { api, basedOn, create, read, type DesignDocument } from '../api/client';
import { useGo } from '../bench/useGo';
import { useBench } from '../bench/workbench';
import { note } from './tried';

/** Designs that were made beside another one in this page, with the one that they came from. */
const made = new Map<string, string>();

const LONGEST = 120;

/** What a change is called that has the name of another one already: a number is put behind it. */
function free(name: string, taken: readonly string[]): string {
  const own = name.slice(0, LONGEST);
  for (let i = 1; ; i++) {
    const tried = i === 1 ? own : `${own.slice(0, LONGEST - 4)} ${i}`;
    if (!taken.includes(tried)) {
      return tried;
    }
  }
}

/**
 * Applies a change of a design. One that makes it another kind of design (it adds a core, or leaves it out) is made beside it,
 * named after what it does, and the two are held against each other: the baseline stays what it is.
 */
export function useRemedy() {
  const { view, designId, now, changeDesign } = useBench();
  const client = useQueryClient();
  const go = useGo();
  const [failed, setFailed] = useState<string>();
  const from = made.get(designId);
  const before = view.designs.find((d) => d.id === from);
  const beside = async (name: string, next: DesignDocument) => {
    const taken = view.designs.map((d) => d.design.name);
    const added = await create((header) =>
      api.POST('/api/cars/{carId}/designs', {
        params: { path: { carId: view.id }, header },
        body: { ...next, name: free(name, taken) },
      }),
    );
    made.set(added.id, designId);
    await amendCar(client, view.id, (v) => ({ ...v, designs: [...v.designs, added] }));
    go({ design: added.id, against: designId });
  };
  const takeBack = async () => {
    const version = view.designs.find((d) => d.id === designId)?.version;
    await read(api.DELETE('/api/designs/{id}', { params: { path: { id: designId }, header: basedOn(version) } }));
    made.delete(designId);
    await amendCar(client, view.id, (v) => ({ ...v, designs: v.designs.filter((d) => d.id !== designId) }));
    go({ design: before?.id ?? '', against: undefined });
  };
  const told = (work: Promise<void>) => void work.catch((e: unknown) => setFailed((e as Error).message));
  return {
    failed,
    /** The name of the design that this one was made beside; nothing once that is gone. */
    madeFrom: before?.design.name,
    takeBack: () => told(takeBack()),
    apply: (name: string, next: DesignDocument) => {
      const { design } = now();
      // Where nothing but the factory exchanger comes off, that is another kind of design too.
      const other =
        Boolean(next.cooler) !== Boolean(design.cooler) || (next.work === 'EXCHANGER' && design.work !== 'EXCHANGER');
      if (other) {
        told(beside(name, next));
      } else {
        note(designId, name, design, next);
        changeDesign(next);
      }
    },
  };
}
