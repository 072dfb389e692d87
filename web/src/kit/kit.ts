/** Everything that screens are built of, a component a file. */
export { Actions } from './Actions';
export { AskName, AskSure } from './Ask';
export { Button, FileLink } from './Button';
export { Choice } from './Choice';
export { Coming } from './Coming';
export { DayEntry, isDay, today } from './DayEntry';
export { Fold } from './Fold';
export { FormField } from './FormField';
export { Pick } from './Pick';
export { Progress } from './Progress';
export { QuantityField } from './QuantityField';
export { Sheet } from './Sheet';
export { Slide } from './Slide';
export { TextEntry } from './TextEntry';
export { Toggle } from './Toggle';
export { Heading, Muted, Row } from './text';
