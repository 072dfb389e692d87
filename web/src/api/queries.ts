import { keepPreviousData, queryOptions, skipToken } from '@tanstack/react-query';
import { api, read, type CaseDocument, type Schemas } from './client';
import { lastMe } from './lastMe';
import type { Live } from './live';

/** Samples that an interval is drawn from. */
const SAMPLES = 48;

const still = { staleTime: Infinity } as const;
/** While the next answer is on its way the last one stays on the screen. */
const drawn = { staleTime: Infinity, placeholderData: keepPreviousData } as const;

/**
 * Everything that is asked of the server and kept, each under the whole question: the same question is asked once, and none is
 * answered with the answer to another.
 */
export const queries = {
  me: () =>
    queryOptions({
      queryKey: ['me'],
      queryFn: () => read(api.GET('/api/me')),
      staleTime: 60_000,
      // Nobody waits for it who was here before, with or without a connection; it is asked for all the same.
      initialData: lastMe,
      initialDataUpdatedAt: 0,
      retryOnMount: false,
    }),
  mySessions: () =>
    queryOptions({ queryKey: ['people', 'mine'], queryFn: () => read(api.GET('/api/me/sessions')), staleTime: 0 }),
  people: () => queryOptions({ queryKey: ['people', 'all'], queryFn: () => read(api.GET('/api/people')) }),
  invitations: () =>
    queryOptions({ queryKey: ['people', 'invited'], queryFn: () => read(api.GET('/api/invitations')), staleTime: 0 }),
  links: (carId: string) =>
    queryOptions({
      queryKey: ['links', carId],
      queryFn: () => read(api.GET('/api/cars/{carId}/links', { params: { path: { carId } } })),
      staleTime: 0,
    }),
  changes: (carId: string) =>
    queryOptions({
      queryKey: ['changes', carId],
      queryFn: () => read(api.GET('/api/cars/{carId}/changes', { params: { path: { carId } } })),
      staleTime: 0,
    }),
  shared: (word: string) =>
    queryOptions({
      queryKey: ['shared', word],
      queryFn: () => read(api.GET('/api/shared/{word}', { params: { path: { word } } })),
    }),
  state: () => queryOptions({ queryKey: ['state'], queryFn: () => read(api.GET('/api/state')), refetchInterval: 5000 }),
  settings: () => queryOptions({ queryKey: ['settings'], queryFn: () => read(api.GET('/api/settings')), ...still }),
  presets: () => queryOptions({ queryKey: ['presets'], queryFn: () => read(api.GET('/api/presets')), ...still }),
  classes: () => queryOptions({ queryKey: ['classes'], queryFn: () => read(api.GET('/api/classes')), ...still }),
  demo: () => queryOptions({ queryKey: ['demo'], queryFn: () => read(api.GET('/api/demo')) }),
  cars: () => queryOptions({ queryKey: ['cars'], queryFn: () => read(api.GET('/api/cars')) }),
  car: (id: string) =>
    queryOptions({
      queryKey: ['car', id],
      queryFn: () => read(api.GET('/api/cars/{id}', { params: { path: { id } } })),
      // Changes made in another browser are seen when this one is looked at again.
      refetchOnWindowFocus: 'always',
      staleTime: Infinity,
      gcTime: 0,
    }),
  builds: (carId: string) =>
    queryOptions({
      queryKey: ['builds', carId],
      queryFn: () => read(api.GET('/api/cars/{carId}/builds', { params: { path: { carId } } })),
    }),
  build: (id: string) =>
    queryOptions({
      queryKey: ['build', id],
      queryFn: () => read(api.GET('/api/builds/{id}', { params: { path: { id } } })),
      staleTime: Infinity,
      refetchOnWindowFocus: 'always',
    }),
  /** What gauges show: told by the server, never asked for. */
  live: (id: string) => queryOptions<Live>({ queryKey: ['live', id], queryFn: skipToken, staleTime: Infinity }),
  care: (carId: string) =>
    queryOptions({
      queryKey: ['care', carId],
      queryFn: () => read(api.GET('/api/cars/{carId}/care', { params: { path: { carId } } })),
    }),
  broken: (car?: string) =>
    queryOptions({
      queryKey: ['broken', 'list', car],
      queryFn: () => read(api.GET('/api/broken', { params: { query: car === undefined ? {} : { car } } })),
      staleTime: 0,
    }),
  brokenText: (what: Schemas['BrokenView']['what'], id: string) =>
    queryOptions({
      queryKey: ['broken', 'text', what, id],
      queryFn: () => read(api.GET('/api/broken/{what}/{id}', { params: { path: { what, id } }, parseAs: 'text' })),
      gcTime: 0,
    }),
  cores: () =>
    queryOptions({ queryKey: ['catalogue', 'cores'], queryFn: () => read(api.GET('/api/catalogue/cores')), ...still }),
  parts: () =>
    queryOptions({
      queryKey: ['catalogue', 'plumbing'],
      queryFn: () => read(api.GET('/api/catalogue/plumbing')),
      ...still,
    }),
  traces: (id: string, points: number, window: readonly [number, number] | undefined) =>
    queryOptions({
      queryKey: ['traces', id, points, window],
      queryFn: ({ signal }) =>
        read(
          api.GET('/api/logs/{id}/traces', {
            params: { path: { id }, query: { points, ...(window ? { from: window[0], to: window[1] } : {}) } },
            signal,
          }),
        ),
      ...drawn,
    }),
  firstCase: (body: Schemas['FromClass'] | undefined) =>
    queryOptions({
      queryKey: ['firstCase', body],
      queryFn: body ? ({ signal }) => read(api.POST('/api/first-case', { body, signal })) : skipToken,
      retry: 1,
      ...drawn,
    }),
  outcome: (body: CaseDocument) =>
    queryOptions({
      queryKey: ['outcome', body],
      queryFn: ({ signal }) => read(api.POST('/api/outcome', { body, signal })),
      staleTime: Infinity,
      retry: 1,
    }),
  quick: (body: CaseDocument) =>
    queryOptions({
      queryKey: ['quick', body],
      queryFn: ({ signal }) => read(api.POST('/api/quick', { body, signal })),
      gcTime: 10_000,
      retry: 1,
      ...drawn,
    }),
  interval: (asked: CaseDocument) =>
    queryOptions({
      queryKey: ['interval', asked],
      queryFn: ({ signal }) =>
        read(api.POST('/api/interval', { body: { ...asked, samples: SAMPLES, seed: 1 }, signal })),
      staleTime: Infinity,
      retry: 1,
    }),
  next: (body: CaseDocument) =>
    queryOptions({
      queryKey: ['next', body],
      queryFn: ({ signal }) => read(api.POST('/api/next-measurement', { body, signal })),
      ...drawn,
    }),
  whatIf: (body: CaseDocument) =>
    queryOptions({
      queryKey: ['whatIf', body],
      queryFn: ({ signal }) => read(api.POST('/api/what-if', { body, signal })),
      retry: 1,
      ...drawn,
    }),
  explain: (body: Schemas['ExplainQuestion'] | undefined) =>
    queryOptions({
      queryKey: ['explain', body],
      queryFn: body ? ({ signal }) => read(api.POST('/api/explain', { body, signal })) : skipToken,
      retry: 1,
      staleTime: Infinity,
    }),
  duties: (body: Schemas['DutiesQuestion'] | undefined) =>
    queryOptions({
      queryKey: ['duties', body],
      queryFn: body ? ({ signal }) => read(api.POST('/api/duties-table', { body, signal })) : skipToken,
      ...drawn,
    }),
  brackets: (body: Schemas['BracketQuestion'] | undefined) =>
    queryOptions({
      queryKey: ['brackets', body],
      queryFn: body ? ({ signal }) => read(api.POST('/api/brackets', { body, signal })) : skipToken,
      ...drawn,
    }),
  panels: (body: Schemas['BracketQuestion'] | undefined) =>
    queryOptions({
      queryKey: ['panels', body],
      queryFn: body ? ({ signal }) => read(api.POST('/api/brackets/panels', { body, signal })) : skipToken,
      ...drawn,
    }),
  preview: (body: Schemas['NewBuild']) =>
    queryOptions({
      queryKey: ['preview', body],
      queryFn: ({ signal }) => read(api.POST('/api/builds/preview', { body, signal })),
      ...drawn,
    }),
  space: (body: Schemas['SpaceQuestion']) =>
    queryOptions({
      queryKey: ['space', body],
      queryFn: ({ signal }) => read(api.POST('/api/space', { body, signal })),
      ...drawn,
    }),
  learn: (body: Schemas['LearnQuestion'] | undefined) =>
    queryOptions({
      queryKey: ['learn', body],
      queryFn: body ? ({ signal }) => read(api.POST('/api/learn', { body, signal })) : skipToken,
      ...drawn,
    }),
  map: (body: Schemas['MapQuestion']) =>
    queryOptions({
      queryKey: ['map', body],
      queryFn: ({ signal }) => read(api.POST('/api/map', { body, signal })),
      ...drawn,
    }),
  schools: (body: Schemas['SchoolsQuestion']) =>
    queryOptions({
      queryKey: ['schools', body],
      queryFn: ({ signal }) => read(api.POST('/api/schools', { body, signal })),
      ...drawn,
    }),
  air: (body: Schemas['AirQuestion']) =>
    queryOptions({
      queryKey: ['air', body],
      queryFn: ({ signal }) => read(api.POST('/api/air', { body, signal })),
      ...drawn,
    }),
  placement: (key: unknown, body: Schemas['PlacementQuestion']) =>
    queryOptions({
      queryKey: ['placement', key],
      queryFn: ({ signal }) => read(api.POST('/api/placement', { body, signal })),
      ...drawn,
    }),
  proof: (body: Schemas['ProofQuestion'] | undefined) =>
    queryOptions({
      queryKey: ['proof', body],
      queryFn: body ? ({ signal }) => read(api.POST('/api/logs/proof', { body, signal })) : skipToken,
      retry: 0,
      ...drawn,
    }),
  places: (body: CaseDocument) =>
    queryOptions({
      queryKey: ['places', body],
      queryFn: ({ signal }) => read(api.POST('/api/places', { body, signal })),
      ...drawn,
    }),
  /** The loop's own figures come out of the answer: they do not ask for another, and are no part of the key. */
  plumb: (key: string, body: Schemas['PlumbQuestion'], headers: Record<string, string>) =>
    queryOptions({
      queryKey: ['plumb', key],
      queryFn: ({ signal }) => read(api.POST('/api/plumb', { body, headers, signal })),
      ...drawn,
    }),
  fit: (id: string, body: Schemas['LogFitQuestion'] | undefined) =>
    queryOptions({
      queryKey: ['fit', id, body],
      queryFn: body ? () => read(api.POST('/api/logs/{id}/fit', { params: { path: { id } }, body })) : skipToken,
      retry: false,
      ...still,
    }),
};
