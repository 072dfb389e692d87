import type { Schemas } from '../../api/client';
import { DocumentNumber } from '../../kit/fields';
import { Button, Pick, Row, Toggle } from '../../kit/kit';
import { Fields, Item } from '../../kit/layout';

type Accessory = Schemas['AccessoryDocument'];

const KINDS = [
  { id: 'ACCUMULATOR', name: 'Accumulator' },
  { id: 'BYPASS_FILTER', name: 'By-pass filter' },
  { id: 'REMOTE_HEAD', name: 'Remote filter head' },
] as const;

/** Accumulator, fine filter and remote head, each with what only it has. */
export function Accessories(props: {
  accessories: readonly Accessory[];
  start: Accessory;
  onChange: (next: Accessory[]) => void;
}) {
  const { accessories, start, onChange } = props;
  return (
    <>
      {accessories.map((a, i) => (
        <OneAccessory
          key={i}
          accessory={a}
          onChange={(change) => onChange(accessories.map((x, k) => (k === i ? { ...x, ...change } : x)))}
          onRemove={() => onChange(accessories.filter((_, k) => k !== i))}
        />
      ))}
      <Row>
        <Button isDisabled={accessories.length >= 4} onPress={() => onChange([...accessories, start])}>
          Add accessory
        </Button>
      </Row>
    </>
  );
}

function OneAccessory(props: {
  accessory: Accessory;
  onChange: (change: Partial<Accessory>) => void;
  onRemove: () => void;
}) {
  const { accessory: a, onChange, onRemove } = props;
  const name = KINDS.find((k) => k.id === a.kind)?.name ?? '';
  return (
    <Item aria-label={name}>
      <Fields>
        <Pick label="Kind" value={a.kind} options={KINDS} onChange={(kind) => onChange({ kind })} />
        <DocumentNumber
          label="Holds"
          schema="AccessoryDocument"
          field="volumeL"
          quantity="volume"
          value={a.volumeL}
          step={0.1}
          onChange={(volumeL) => onChange({ volumeL })}
        />
        <Pick
          label="Shut off by"
          value={a.valve}
          options={[
            { id: 'NONE', name: 'nothing' },
            { id: 'MANUAL', name: 'a lever' },
            { id: 'ELECTRIC', name: 'an electric valve' },
          ]}
          onChange={(valve) => onChange({ valve })}
        />
        <DocumentNumber
          label="Third hose"
          schema="AccessoryDocument"
          field="hoseM"
          quantity="distance"
          digits={1}
          value={a.hoseM ?? 0}
          step={0.1}
          onChange={(hoseM) => onChange({ hoseM })}
        />
        {a.kind === 'ACCUMULATOR' && (
          <>
            <DocumentNumber
              label="Gas pressure, empty"
              schema="AccessoryDocument"
              field="preChargeBar"
              quantity="pressure"
              value={a.preChargeBar ?? 0}
              step={0.1}
              onChange={(preChargeBar) => onChange({ preChargeBar })}
            />
            <Toggle
              label="Check valve"
              value={a.checkValve === true}
              onChange={(checkValve) => onChange({ checkValve })}
            />
          </>
        )}
        {a.kind === 'BYPASS_FILTER' && (
          <>
            <Pick
              label="Oil's way"
              value={a.way ?? 'BESIDE'}
              options={[
                { id: 'BESIDE', name: 'a share, past the engine' },
                { id: 'IN_LINE', name: 'all of it, in line' },
              ]}
              onChange={(way) => onChange({ way })}
            />
            {a.way !== 'IN_LINE' && (
              <DocumentNumber
                label="Restrictor hole"
                schema="AccessoryDocument"
                field="restrictorMm"
                quantity="length"
                digits={1}
                value={a.restrictorMm}
                step={0.1}
                onChange={(restrictorMm) => onChange({ restrictorMm })}
              />
            )}
          </>
        )}
      </Fields>
      <Button aria-label={`Remove ${name.toLowerCase()}`} onPress={onRemove}>
        Remove
      </Button>
    </Item>
  );
}
