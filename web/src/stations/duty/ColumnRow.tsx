import { Muted, Pick } from '../../kit/kit';
import { CHANNELS, Channel } from './channels';
import { Format } from './format';

/** Units in which each channel may be written, the one that it is kept in first. */
const UNITS: Record<Channel, readonly NonNullable<Format['columns'][number]['unit']>[]> = {
  TIME: ['S', 'MS', 'MIN'],
  SPEED: ['KMH', 'MPH', 'MPS', 'KNOT'],
  RPM: ['RPM'],
  POWER: ['KW', 'HP'],
  OIL: ['C', 'F', 'K'],
  OIL_RETURN: ['C', 'F', 'K'],
  COOLANT: ['C', 'F', 'K'],
  INTAKE: ['C', 'F', 'K'],
  AMBIENT: ['C', 'F', 'K'],
  PRESSURE: ['BAR', 'PSI', 'KPA'],
  LAP: ['NONE'],
  LATITUDE: ['DEGREE'],
  LONGITUDE: ['DEGREE'],
  ELEVATION: ['M', 'FT'],
  CORE_AIR: ['PA', 'HPA'],
};

const UNIT_SIGNS: Record<string, string> = {
  S: 's',
  MS: 'ms',
  MIN: 'min',
  PA: 'Pa',
  HPA: 'hPa',
  KMH: 'km/h',
  MPH: 'mph',
  MPS: 'm/s',
  KNOT: 'kn',
  RPM: 'rpm',
  KW: 'kW',
  HP: 'hp',
  C: '°C',
  F: '°F',
  K: 'K',
  BAR: 'bar',
  PSI: 'psi',
  KPA: 'kPa',
  M: 'm',
  FT: 'ft',
  DEGREE: '°',
  NONE: '–',
};

export function ColumnRow({
  column,
  onChange,
}: {
  column: Format['columns'][number];
  onChange: (column: Format['columns'][number]) => void;
}) {
  const units = column.channel ? UNITS[column.channel] : [];
  return (
    <>
      <span>{column.name || '(no name)'}</span>
      <Pick
        label={`Column ${column.name} holds`}
        hideLabel
        value={column.channel ?? 'none'}
        options={[
          { id: 'none', name: 'not read' },
          ...Object.entries(CHANNELS).map(([id, name]) => ({ id: id as Channel, name })),
        ]}
        onChange={(channel) =>
          onChange(
            channel === 'none'
              ? { name: column.name }
              : { name: column.name, channel: channel as Channel, unit: UNITS[channel as Channel][0] },
          )
        }
      />
      {column.channel && units.length > 1 ? (
        <Pick
          label={`Unit of column ${column.name}`}
          hideLabel
          value={column.unit ?? units[0] ?? 'NONE'}
          options={units.map((u) => ({ id: u, name: UNIT_SIGNS[u] ?? u }))}
          onChange={(unit) => onChange({ ...column, unit })}
        />
      ) : (
        <Muted>{column.unit ? UNIT_SIGNS[column.unit] : ''}</Muted>
      )}
    </>
  );
}
