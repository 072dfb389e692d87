import type { CarDocument, DutyDocument, DesignDocument, Schemas } from '../../api/client';
import { type MapAxis } from '../../pictures/IsothermMap';

export type AxisId = Schemas['AxisDocument']['axis'];

export interface Docs {
  readonly car: CarDocument;
  readonly duty: DutyDocument;
  readonly design: DesignDocument;
}

export interface AxisChoice extends Omit<MapAxis, 'value'> {
  readonly id: AxisId;
  readonly from: number;
  readonly to: number;
  readonly count: number;
  /** The present value; missing when the axis has no meaning here. */
  get(docs: Docs): number | undefined;
  set(docs: Docs, value: number): Docs;
}
