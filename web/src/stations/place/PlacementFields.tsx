import type { Schemas } from '../../api/client';
import { DocumentNumber } from '../../kit/fields';
import { Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';

type Placement = Schemas['PlacementDocument'];

/** Where the core sits in the nose, and what leads the air to it. */
export function PlacementFields({ placement, move }: { placement: Placement; move: (next: Placement) => void }) {
  return (
    <Fields>
      {(
        [
          ['Across', 'xMm'],
          ['Up', 'yMm'],
          ['Depth behind bumper skin', 'zMm'],
        ] as const
      ).map(([label, field]) => (
        <DocumentNumber
          key={field}
          label={label}
          schema="PlacementDocument"
          field={field}
          quantity="length"
          value={placement[field]}
          step={5}
          onChange={(v) => move({ ...placement, [field]: v })}
        />
      ))}
      <DocumentNumber
        label="Tilt"
        schema="PlacementDocument"
        field="tiltDeg"
        suffix="°"
        value={placement.tiltDeg}
        step={1}
        onChange={(tiltDeg) => move({ ...placement, tiltDeg })}
      />
      <Toggle
        label="Back to the front"
        value={placement.turned === true}
        onChange={(turned) => move({ ...placement, turned })}
      />
      <Toggle
        label="Shroud"
        value={placement.shroud}
        onChange={(shroud) => move({ ...placement, shroud, foam: shroud && placement.foam })}
      />
      <Toggle
        label="Foam seals"
        value={placement.foam}
        onChange={(foam) => move({ ...placement, foam, shroud: foam || placement.shroud })}
      />
    </Fields>
  );
}
