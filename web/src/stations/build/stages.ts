import { type Schemas } from '../../api/client';

type Stage = Schemas['SheetStep']['stage'];

export type GateState = Schemas['GateState'];

export const STAGES: Record<Stage, string> = {
  PREPARE: 'Prepare',
  STRIP: 'What comes off',
  MOUNT: 'Mount the core',
  TAKEOFF: 'Takeoff',
  BENCH: 'Lines on the bench',
  LINES: 'Lines on the car',
  FILL: 'Fill and prime',
  LEAK_CHECK: 'Leak check',
  REFIT: 'What goes back on',
  FIRST_DRIVE: 'First drive',
  SECOND_CHECK: 'Second check',
};
