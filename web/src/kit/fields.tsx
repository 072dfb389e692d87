import { range, type Schemas } from '../api/client';
import type { Quantity } from '../units/units';
import { QuantityField } from './kit';

interface Props<S extends keyof Schemas> {
  readonly label: string;
  readonly schema: S;
  readonly field: keyof Schemas[S] & string;
  readonly value: number;
  readonly step: number;
  readonly quantity?: Quantity;
  readonly suffix?: string;
  readonly digits?: number;
  readonly onChange: (value: number) => void;
}

/** A number of a document, with the range that the server allows for it. */
export function DocumentNumber<S extends keyof Schemas>({ schema, field, ...rest }: Props<S>) {
  const { min, max } = range(schema, field);
  return <QuantityField {...rest} min={min} max={max} />;
}
