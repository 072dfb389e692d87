import type { DesignDocument } from '../../api/client';
import { usePresets } from '../../bench/presets';
import { useBench } from '../../bench/workbench';
import { Button, Heading, Muted } from '../../kit/kit';
import { useRemedy } from '../useRemedy';
import { word } from '../../words/words';

/** Begins a design with a cooler, wherever one is missing; with a factory air cooler, by what of it is changed. */
export function AddCore({ why }: { why: string }) {
  const { starts } = usePresets();
  const { car, design } = useBench();
  const { apply, failed } = useRemedy();
  const begin = (name: string, change: Partial<DesignDocument>) => {
    const rest = { ...design };
    delete rest.work;
    apply(name, { ...rest, ...change });
  };
  const factory = car.factoryCooler;
  const exchanger = (car.factoryExchangerWPerK ?? 0) > 0 && (
    <Button onPress={() => begin(word('work', 'EXCHANGER'), { keepFactoryExchanger: false, work: 'EXCHANGER' })}>
      {word('work', 'EXCHANGER')}, no core
    </Button>
  );
  if (!factory) {
    return (
      <>
        <Heading>No cooler in this design</Heading>
        <Muted>{why}</Muted>
        <Button onPress={() => begin('With a core', { cooler: starts.cooler })}>Add a core</Button>
        {exchanger}
        {failed && <p role="alert">▲ {failed}</p>}
      </>
    );
  }
  return (
    <>
      <Heading>Factory air cooler in this design</Heading>
      <Muted>
        {factory.rows} rows, {factory.thermostat ? 'with its thermostat' : 'without a thermostat'}, as the car has it.
        Say what of it is changed; the rest stays.
      </Muted>
      {(['CORE', 'THERMOSTAT', 'HOSES'] as const).map((work) => (
        <Button key={work} onPress={() => begin(word('work', work), { cooler: factory, work })}>
          {word('work', work)}
        </Button>
      ))}
      <Button onPress={() => begin(word('work', 'IN_SERIES'), { cooler: starts.cooler, work: 'IN_SERIES' })}>
        {word('work', 'IN_SERIES')}
      </Button>
      <Button onPress={() => begin(word('work', 'WHOLE'), { cooler: starts.cooler })}>
        {word('work', 'WHOLE')}, in its place
      </Button>
      {exchanger}
      {failed && <p role="alert">▲ {failed}</p>}
    </>
  );
}
