/** Ways that a filter or a port can point. */
export const POINTING = [
  { id: 'DOWN', name: 'down' },
  { id: 'UP', name: 'up' },
  { id: 'FORWARD', name: 'to the front' },
  { id: 'REARWARD', name: 'to the rear' },
  { id: 'LEFT', name: 'to the left' },
  { id: 'RIGHT', name: 'to the right' },
] as const;

/** Ways that something on a core can look or point, seen from its front. */
export const CORE_FACES = [
  { id: 'UP', name: 'up' },
  { id: 'DOWN', name: 'down' },
  { id: 'LEFT', name: 'to the left' },
  { id: 'RIGHT', name: 'to the right' },
  { id: 'FRONT', name: 'to the front' },
  { id: 'BACK', name: 'to the back' },
] as const;
