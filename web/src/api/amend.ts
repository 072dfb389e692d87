import type { DataTag, QueryClient, QueryKey } from '@tanstack/react-query';
import type { CarView } from './client';
import { queries } from './queries';

/**
 * Puts into what a page knows what the server has just said of a part of it. A look at the whole that began earlier and is still on
 * its way knows nothing of that: it is called off, so that what was added does not go again, and the whole is looked at anew.
 */
export async function amend<T>(
  client: QueryClient,
  queryKey: DataTag<QueryKey, T, Error>,
  amended: (known: T | undefined) => T | undefined,
): Promise<void> {
  const onItsWay = client.isFetching({ queryKey }) > 0;
  await client.cancelQueries({ queryKey });
  client.setQueryData<T>(queryKey, amended);
  if (onItsWay) {
    void client.invalidateQueries({ queryKey });
  }
}

/** The same of a car that is looked at. */
export function amendCar(client: QueryClient, id: string, amended: (car: CarView) => CarView): Promise<void> {
  return amend(client, queries.car(id).queryKey, (car) => car && amended(car));
}
