import type { Schemas } from '../../api/client';
import bays from '../../pictures/bays.json';

interface Start {
  readonly id: string;
  readonly name: string;
  readonly bay: Schemas['BayDocument'];
}

/** Bays to start from; every figure is to be replaced by what the tape says. */
export const BAYS = bays as readonly Start[];
