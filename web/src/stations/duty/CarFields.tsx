import { BodyFields, CoolantFields, LimitFields, LossFields } from './BodyFields';
import { EngineFields, OilFields, PumpFields } from './EngineFields';

/** Everything about the car itself. */
export function CarFields() {
  return (
    <div>
      <EngineFields />
      <OilFields />
      <BodyFields />
      <PumpFields />
      <LossFields />
      <CoolantFields />
      <LimitFields />
    </div>
  );
}
