import type { Schemas } from '../../api/client';

export type GateState = Schemas['GateState'];
