import { type Schemas } from '../../api/client';

export type Format = Schemas['LogFormat'];
