import type { Schemas } from '../../api/client';

export type Bay = Schemas['BayDocument'];

export type Stand = Schemas['StandDocument'];
