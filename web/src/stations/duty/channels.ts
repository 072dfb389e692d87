import type { Schemas } from '../../api/client';

export type Channel = Schemas['LogDocument']['channels'][number];

export const CHANNELS: Record<Channel, string> = {
  TIME: 'Time',
  SPEED: 'Road speed',
  RPM: 'Engine speed',
  POWER: 'Brake power',
  OIL: 'Oil temperature',
  OIL_RETURN: 'Oil behind the cooler',
  COOLANT: 'Coolant',
  INTAKE: 'Intake air',
  AMBIENT: 'Outside air',
  PRESSURE: 'Oil pressure',
  LAP: 'Lap',
  LATITUDE: 'Latitude',
  LONGITUDE: 'Longitude',
  ELEVATION: 'Height',
  CORE_AIR: 'Air pressure across the core',
};

export const SENSORS = [
  { id: 'SUMP', name: 'In the sump' },
  { id: 'PLATE_INLET', name: 'In the plate, to the cooler' },
  { id: 'PLATE_OUTLET', name: 'In the plate, from the cooler' },
  { id: 'GALLERY', name: 'In the gallery' },
] as const;
