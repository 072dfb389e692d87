import { lazy } from 'react';

// Each station comes when it is first gone to: the first look at a car does not wait for all of them.
const Duty = lazy(async () => ({ default: (await import('../stations/duty/Duty')).Duty }));

const CoreStation = lazy(async () => ({ default: (await import('../stations/core/CoreStation')).CoreStation }));

const PlaceStation = lazy(async () => ({ default: (await import('../stations/place/PlaceStation')).PlaceStation }));

const PlumbStation = lazy(async () => ({ default: (await import('../stations/plumb/PlumbStation')).PlumbStation }));

const BuildStation = lazy(async () => ({ default: (await import('../stations/build/BuildStation')).BuildStation }));

const ProveStation = lazy(async () => ({ default: (await import('../stations/prove/ProveStation')).ProveStation }));

const CareStation = lazy(async () => ({ default: (await import('../stations/care/CareStation')).CareStation }));

/** In their order. */
export const stations = [
  { id: 'duty', name: 'Duty', decides: 'What the car has to do', view: Duty },
  { id: 'core', name: 'Core', decides: 'Rows, shape, thermostat', view: CoreStation },
  { id: 'place', name: 'Place', decides: 'Position, air in and out', view: PlaceStation },
  { id: 'plumb', name: 'Plumb', decides: 'Takeoff, fittings, hoses', view: PlumbStation },
  { id: 'build', name: 'Build', decides: 'Run sheet, gates, gauges', view: BuildStation },
  { id: 'prove', name: 'Prove', decides: 'Before against after', view: ProveStation },
  { id: 'care', name: 'Care', decides: 'What is due, what was done', view: CareStation },
] as const;
