import { useBench } from '../../bench/workbench';
import { Button } from '../../kit/kit';

/** Takes what a log has taught out of the car's model again. */
export function TakeLogOut() {
  const { now, changeCar } = useBench();
  return (
    <Button
      onPress={() => {
        const rest = { ...now().car };
        delete rest.fitted;
        changeCar(rest);
      }}
    >
      Take the log out again
    </Button>
  );
}
