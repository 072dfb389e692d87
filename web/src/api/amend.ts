import type { QueryClient } from '@tanstack/react-query';
import type { CarView } from './client';
import { queries } from './queries';

/**
 * Puts into a car what the server has just said of a part of it. A look at the whole car that began earlier and is still on its way
 * knows nothing of that: it is called off, so that what was added does not go again, and the car is looked at anew.
 */
export async function amendCar(client: QueryClient, id: string, amended: (car: CarView) => CarView): Promise<void> {
  const { queryKey } = queries.car(id);
  const onItsWay = client.isFetching({ queryKey }) > 0;
  await client.cancelQueries({ queryKey });
  client.setQueryData(queryKey, (car) => car && amended(car));
  if (onItsWay) {
    void client.invalidateQueries({ queryKey });
  }
}
