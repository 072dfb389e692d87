import type { Schemas } from '../../api/client';
import { usePresets } from '../../bench/presets';
import { useBench } from '../../bench/workbench';
import { Button, Fold, Muted, Pick, Row, Toggle } from '../../kit/kit';
import { Fields, Item } from '../../kit/layout';
import { word } from '../../words/words';
import { Accessories } from './Accessories';
import { MakersFigure } from './MakersFigure';
import { JOINTS } from './names';
import type { Plumbing } from './usePlumbing';

type Sender = Schemas['SenderDocument'];

const SENDER_SIZES: Partial<Record<Sender['joint'], readonly string[]>> = {
  TAPER: ['1/8', '1/4'],
  METRIC: ['M10x1', 'M12x1.5', 'M14x1.5'],
  BSPP: ['1/8', '1/4'],
};

/** What builders do in two ways, what is screwed in beside the hoses, and what a factory exchanger leaves behind. */
export function Circuit(props: { plumbing: Plumbing; pushOn: boolean; onChange: (change: Partial<Plumbing>) => void }) {
  const { plumbing, pushOn, onChange } = props;
  const { car, design } = useBench();
  const { starts } = usePresets();
  const exchanger = (car.factoryExchangerWPerK ?? 0) > 0 || (car.bay?.stand.exchangerMm ?? 0) > 0;
  const senders = plumbing.senders ?? [];
  return (
    <>
      <Fold
        name="Accumulator, filters"
        short={plumbing.accessories.length === 0 ? 'none' : `${plumbing.accessories.length}`}
      >
        <Accessories
          accessories={plumbing.accessories}
          start={starts.accessory}
          onChange={(accessories) => onChange({ accessories })}
        />
      </Fold>
      <Fold name="Senders" short={senders.length === 0 ? 'none' : `${senders.length}`}>
        {senders.map((s, i) => (
          <OneSender
            key={i}
            sender={s}
            onChange={(change) => onChange({ senders: senders.map((x, k) => (k === i ? { ...x, ...change } : x)) })}
            onRemove={() => onChange({ senders: senders.filter((_, k) => k !== i) })}
          />
        ))}
        <Row>
          <Button isDisabled={senders.length >= 6} onPress={() => onChange({ senders: [...senders, starts.sender] })}>
            Add sender
          </Button>
        </Row>
      </Fold>
      <Fold
        name="Metal, washers"
        short={`${plumbing.metal === 'STEEL' ? 'steel' : 'aluminium'}, ${plumbing.washer === 'COPPER' ? 'copper' : 'bonded'}`}
      >
        <Muted>Builders differ here, and both ways are sound: torques, masses and the bill follow the choice.</Muted>
        <Fields>
          <Pick
            label="Fittings"
            value={plumbing.metal ?? 'ALUMINIUM'}
            options={[
              { id: 'ALUMINIUM', name: 'aluminium' },
              { id: 'STEEL', name: 'steel' },
            ]}
            onChange={(metal) => onChange({ metal })}
          />
          <Pick
            label="Washers"
            value={plumbing.washer ?? 'BONDED'}
            options={[
              { id: 'BONDED', name: 'bonded' },
              { id: 'COPPER', name: 'copper' },
            ]}
            onChange={(washer) => onChange({ washer })}
          />
          {pushOn && (
            <Toggle
              label="Clamps over barbs"
              value={plumbing.clamped === true}
              onChange={(clamped) => onChange({ clamped })}
            />
          )}
        </Fields>
      </Fold>
      {exchanger && !design.keepFactoryExchanger && (
        <Pick
          label="Coolant hoses of the exchanger"
          value={plumbing.coolantEnds ?? 'JOINED'}
          options={[
            { id: 'JOINED', name: 'joined by a hose' },
            { id: 'BLANKED', name: 'both stubs capped' },
          ]}
          onChange={(coolantEnds) => onChange({ coolantEnds })}
        />
      )}
    </>
  );
}

function OneSender(props: { sender: Sender; onChange: (change: Partial<Sender>) => void; onRemove: () => void }) {
  const { sender: s, onChange, onRemove } = props;
  const sizes = SENDER_SIZES[s.joint] ?? [];
  return (
    <Item aria-label={`Sender for ${word('senses', s.senses)}`}>
      <Fields>
        <Pick
          label="Senses"
          value={s.senses}
          options={(['TEMPERATURE', 'PRESSURE'] as const).map((id) => ({ id, name: word('senses', id) }))}
          onChange={(senses) => onChange({ senses })}
        />
        <Pick
          label="Sender location"
          value={s.site}
          options={(['TAKEOFF', 'FEED', 'RETURN'] as const).map((id) => ({ id, name: word('senderSite', id) }))}
          onChange={(site) => onChange({ site })}
        />
        <Pick
          label="Sender thread"
          value={s.joint}
          options={JOINTS.filter((j) => SENDER_SIZES[j.id])}
          onChange={(joint) => onChange({ joint, size: SENDER_SIZES[joint]?.[0] ?? s.size })}
        />
        <Pick
          label="Thread size"
          value={s.size}
          options={[...new Set([...sizes, s.size])].map((id) => ({ id, name: id }))}
          onChange={(size) => onChange({ size })}
        />
      </Fields>
      <MakersFigure name="Sender's torque" figure={s.figure} onChange={(figure) => onChange({ figure })} />
      <Button aria-label={`Remove sender for ${word('senses', s.senses)}`} onPress={onRemove}>
        Remove
      </Button>
    </Item>
  );
}
