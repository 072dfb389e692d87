// @vitest-environment happy-dom
import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { expect, it, vi } from 'vitest';
import { amend, amendCar } from './amend';
import type { CarView } from './client';
import { queries } from './queries';

const ID = 'c0ffee00-0000-4000-8000-000000000001';
const having = (...designs: string[]) => ({ id: ID, designs: designs.map((id) => ({ id })) }) as CarView;
const names = (car: CarView | undefined) => car?.designs.map((d) => d.id);

it('keeps what was added when a look at the car that began before comes back without it, and looks anew', async () => {
  const client = new QueryClient({ defaultOptions: { queries: { networkMode: 'always' } } });
  const { queryKey } = queries.car(ID);
  const late: { answer?: (car: CarView) => void } = {};
  const asked = vi
    .fn<() => Promise<CarView>>()
    .mockResolvedValueOnce(having('first'))
    .mockImplementationOnce(() => new Promise((resolve) => (late.answer = resolve)))
    .mockResolvedValue(having('first', 'added'));
  const page = new QueryObserver(client, { queryKey, queryFn: asked, staleTime: Infinity });
  const leave = page.subscribe(() => {});
  await vi.waitFor(() => expect(names(page.getCurrentResult().data)).toEqual(['first']));

  void client.invalidateQueries({ queryKey });
  await vi.waitFor(() => expect(asked).toHaveBeenCalledTimes(2));
  await amendCar(client, ID, (car) => having(...(names(car) ?? []), 'added'));
  expect(names(page.getCurrentResult().data)).toEqual(['first', 'added']);
  late.answer?.(having('first'));
  await vi.waitFor(() => expect(asked).toHaveBeenCalledTimes(3));
  await vi.waitFor(() => expect(page.getCurrentResult().isFetching).toBe(false));
  expect(names(page.getCurrentResult().data)).toEqual(['first', 'added']);
  leave();
});

it('keeps an answer of which nothing was known yet', async () => {
  const client = new QueryClient();
  await amend(client, queries.cars().queryKey, (known) => [...(known ?? []), { id: ID, name: 'Wren', broken: false }]);
  expect(client.getQueryData(queries.cars().queryKey)).toHaveLength(1);
  await amendCar(client, ID, (car) => car);
  expect(client.getQueryData(queries.car(ID).queryKey)).toBeUndefined();
});

it('asks nothing where no look is on its way', async () => {
  const client = new QueryClient();
  client.setQueryData(queries.car(ID).queryKey, having('first', 'second'));
  await amendCar(client, ID, () => having('second'));
  expect(names(client.getQueryData(queries.car(ID).queryKey))).toEqual(['second']);
  expect(client.isFetching()).toBe(0);
});
