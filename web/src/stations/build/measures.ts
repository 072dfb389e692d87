import type { Schemas } from '../../api/client';
import type { Quantity } from '../../units/units';

type Measure = Schemas['SheetFigure']['measure'];

/** Quantity in which each measure of a run sheet is shown and typed. */
export const QUANTITY: Record<Measure, Quantity> = {
  PRESSURE: 'pressure',
  TEMPERATURE: 'temperature',
  TORQUE: 'torque',
  VOLUME: 'volume',
  LENGTH: 'length',
  ANGLE: 'angle',
};

export const SOURCE: Record<Schemas['SheetFigure']['source'], string> = {
  PUBLISHED: 'published',
  OWN: 'your own',
  ESTIMATE: '≈ our estimate',
};
