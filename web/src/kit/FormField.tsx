import { useState } from 'react';
import { TextField } from 'react-aria-components';
import { FieldLabel, Muted, Wrong } from './text';
import { Line } from './TextEntry';

/** A line of a form that is sent as a whole; what is wrong with it is said when it has been left. */
export function FormField(props: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  /** What the browser may fill in. */
  fills?: 'username' | 'current-password' | 'new-password' | 'off';
  /** Why it cannot be sent like this. */
  wrong?: string | undefined;
  hint?: string;
  autoFocus?: boolean;
  onEnter?: () => void;
}) {
  const [left, setLeft] = useState(false);
  const secret = props.fills === 'current-password' || props.fills === 'new-password';
  return (
    <TextField
      value={props.value}
      onChange={props.onChange}
      isInvalid={left && props.wrong !== undefined}
      // On the way to a button nothing moves: it would be missed.
      onBlur={(e) => !(e.relatedTarget instanceof HTMLButtonElement) && setLeft(true)}
      type={secret ? 'password' : 'text'}
      autoFocus={props.autoFocus === true}
    >
      <FieldLabel>{props.label}</FieldLabel>
      <Line
        autoComplete={props.fills ?? 'off'}
        autoCapitalize="off"
        spellCheck={false}
        onKeyDown={(e) => {
          if (e.key === 'Enter') {
            setLeft(true);
            props.onEnter?.();
          }
        }}
      />
      {props.hint && <Muted style={{ fontSize: 13 }}>{props.hint}</Muted>}
      <Wrong>{left && props.wrong}</Wrong>
    </TextField>
  );
}
