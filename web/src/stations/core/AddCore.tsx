import { usePresets } from '../../bench/presets';
import { useBench } from '../../bench/workbench';
import { Button, Heading, Muted } from '../../kit/kit';

/** Begins a design with a cooler, wherever one is missing. */
export function AddCore({ why }: { why: string }) {
  const { starts } = usePresets();
  const { design, changeDesign } = useBench();
  return (
    <>
      <Heading>No cooler in this design</Heading>
      <Muted>{why}</Muted>
      <Button onPress={() => changeDesign({ ...design, cooler: starts.cooler })}>Add a core</Button>
    </>
  );
}
