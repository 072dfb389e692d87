import { BodyFields, LimitFields } from './BodyFields';
import { CoolantFields, LossFields } from './CoolantFields';
import { FactoryCooler } from './FactoryCooler';
import { EngineFields } from './EngineFields';
import { OilFields, PumpFields } from './OilFields';

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
      <FactoryCooler />
      <LimitFields />
    </div>
  );
}
