import type { Schemas } from '../api/client';
import { range } from '../api/descriptions';
import type { Quantity } from '../units/units';
import { QuantityField } from './kit';

interface Props<S extends keyof Schemas> {
  readonly label: string;
  readonly schema: S;
  readonly field: keyof Schemas[S] & string;
  readonly value: number | undefined;
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

interface NumbersProps<S extends keyof Schemas> {
  readonly schema: S;
  readonly value: Partial<Schemas[S]>;
  /** Label, field, and what differs from a length in millimetres stepped by five. */
  readonly fields: readonly (readonly [
    label: string,
    field: keyof Schemas[S] & string,
    other?: Partial<Pick<Props<S>, 'step' | 'quantity' | 'suffix' | 'digits'>>,
  ])[];
  readonly onChange: (change: Partial<Schemas[S]>) => void;
}

/** Several numbers of one document, most of them taken by tape. */
export function DocumentNumbers<S extends keyof Schemas>({ schema, value, fields, onChange }: NumbersProps<S>) {
  return fields.map(([label, field, other]) => (
    <DocumentNumber
      key={field}
      label={label}
      schema={schema}
      field={field}
      quantity={other?.suffix === undefined ? 'length' : undefined}
      step={5}
      value={Number((value as Record<string, unknown>)[field] ?? 0)}
      onChange={(v) => onChange({ [field]: v } as Partial<Schemas[S]>)}
      {...other}
    />
  ));
}
