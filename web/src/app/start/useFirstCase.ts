import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { useSettled } from '../../bench/useSettled';

type Told = Schemas['FromClass'];
export type Shows = 'nothing' | 'gauge' | 'log';

/** A number is typed in several strokes: it is asked about when it holds still. */
const PAUSE_MS = 170;

/** What is said of a car, question by question, and the case that it comes to. */
export function useFirstCase(classes: readonly Schemas['CarClass'][]) {
  const [told, setTold] = useState<Partial<Told>>({});
  const [shows, setShows] = useState<Shows>();
  const from = classes.find((c) => c.id === told.classId);
  const name = told.name ?? from?.car.name ?? '';
  const body: Told | undefined =
    from === undefined
      ? undefined
      : {
          classId: from.id,
          name,
          ...(told.powerKw === undefined ? {} : { powerKw: told.powerKw }),
          ...(told.use === undefined ? {} : { use: told.use }),
          ...(told.ambientC === undefined ? {} : { ambientC: told.ambientC }),
          ...(shows !== 'gauge' || told.shownC === undefined ? {} : { shownC: told.shownC }),
        };
  // The name changes nothing of the answer.
  const asked = useSettled(JSON.stringify(body && { ...body, name: from?.car.name }), PAUSE_MS);
  const still = asked === undefined ? undefined : (JSON.parse(asked) as Told);
  const first = useQuery(queries.firstCase(still));
  return {
    told,
    shows,
    from,
    name,
    body,
    first: first.data,
    failed: first.error,
    tell: (change: Partial<Told>) => setTold((old) => ({ ...old, ...change })),
    setShows,
    /** Of another class everything else is as usual there, unless it was told. */
    chooseClass: (classId: string) => setTold((old) => ({ ...old, classId })),
  };
}
