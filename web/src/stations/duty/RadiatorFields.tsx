import type { Schemas } from '../../api/client';
import { DocumentNumbers } from '../../kit/fields';

type Radiator = Schemas['RadiatorDocument'];

/** The coolant radiator by tape and data sheet. */
export function RadiatorFields(props: { radiator: Radiator; onChange: (radiator: Radiator) => void }) {
  const { radiator, onChange } = props;
  return (
    <DocumentNumbers
      schema="RadiatorDocument"
      value={radiator}
      fields={[
        ['Radiator width', 'widthMm', { step: 10 }],
        ['Radiator height', 'heightMm', { step: 10 }],
        ['UA at 4 m/s', 'conductanceWPerK', { suffix: 'W/K', step: 50 }],
        ['Air loss at 4 m/s', 'pressureDropPa', { suffix: 'Pa', step: 10 }],
        ['Openings that feed it', 'openingCm2', { quantity: 'area', step: 10 }],
        ['Fan pressure', 'fanPa', { suffix: 'Pa', step: 10 }],
        ['Fan flow', 'fanM3PerS', { quantity: 'airFlow', step: 0.05 }],
      ]}
      onChange={(part) => onChange({ ...radiator, ...part })}
    />
  );
}
