/** What somebody may do, in words. */
export const ROLES = [
  { id: 'VIEWER', name: 'Viewer' },
  { id: 'BUILDER', name: 'Builder' },
  { id: 'OWNER', name: 'Owner' },
] as const;
