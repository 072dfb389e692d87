import type { Schemas } from '../../api/client';
import { type Plumbing } from './usePlumbing';

export const FAMILIES = [
  { id: 'BRAIDED_RUBBER', name: 'Braided' },
  { id: 'PTFE', name: 'PTFE' },
  { id: 'PUSH_ON', name: 'Push-on' },
  { id: 'SWAGED', name: 'Swaged' },
] as const;

export const TAKEOFFS: Record<Schemas['TakeoffDocument']['kind'], string> = {
  SANDWICH_PLATE: 'Plate',
  HOUSING_ADAPTOR: 'Housing adaptor',
  DISTRIBUTION_BLOCK: 'Distribution block',
  REMOTE_FILTER: 'Remote filter',
};

export const JOINTS = [
  { id: 'O_RING_BOSS', name: 'O-ring' },
  { id: 'FLARE_37', name: 'Flare 37°' },
  { id: 'TAPER', name: 'NPT' },
  { id: 'BSPP', name: 'BSPP' },
  { id: 'METRIC', name: 'Metric' },
  { id: 'PUSH_ON', name: 'Barbs' },
  { id: 'BANJO', name: 'Banjo' },
] as const;

export const SIZES: Record<Plumbing['corePort'], readonly string[]> = {
  O_RING_BOSS: ['-6', '-8', '-10', '-12'],
  FLARE_37: ['-6', '-8', '-10', '-12'],
  PUSH_ON: ['-6', '-8', '-10', '-12'],
  TAPER: ['1/4', '3/8', '1/2', '3/4'],
  BSPP: ['1/4', '3/8', '1/2', '3/4'],
  METRIC: ['M16x1.5', 'M18x1.5', 'M22x1.5'],
  BANJO: ['M16x1.5', 'M18x1.5', 'M22x1.5'],
};
