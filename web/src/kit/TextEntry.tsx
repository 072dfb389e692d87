import { useState } from 'react';
import { Input, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { FieldLabel, Wrong } from './text';

interface TextEntryProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly longest?: number;
  /** A name has to be there. */
  readonly needed?: boolean;
  readonly autoFocus?: boolean;
}

export const Line = styled(Input)`
  font: inherit;
  font-size: 16px;
  width: 100%;
  height: 42px;
  padding: 0 10px;
  border: 1px solid ${(p) => p.theme.line};
  border-radius: 4px;
  background: ${(p) => p.theme.sheet};
  color: inherit;
  outline: 0;
  &[data-focused] {
    outline: 2px solid ${(p) => p.theme.focus};
    outline-offset: 1px;
  }
`;

/** A line of text, taken when it is left or on Enter. */
export function TextEntry({ label, value, onChange, longest = 120, needed = true, autoFocus }: TextEntryProps) {
  const [draft, setDraft] = useState<string>();
  // What is wrong is said when the field has been left or sent, not before anything was typed.
  const [due, setDue] = useState(false);
  const text = draft ?? value;
  const wrong =
    needed && text.trim() === ''
      ? `${label}: a text of 1 to ${longest} characters is expected`
      : text.length > longest
        ? `${label}: at most ${longest} characters; these are ${text.length}`
        : undefined;
  const commit = () => {
    setDue(true);
    if (draft !== undefined && !wrong) {
      if (draft !== value) {
        onChange(draft);
      }
      setDraft(undefined);
    }
  };
  return (
    <TextField
      value={text}
      onChange={setDraft}
      isInvalid={due && wrong !== undefined}
      onBlur={commit}
      autoFocus={!!autoFocus}
    >
      <FieldLabel>{label}</FieldLabel>
      <Line
        autoComplete="off"
        onKeyDown={(e) => {
          if (e.key === 'Enter') {
            commit();
          } else if (e.key === 'Escape') {
            setDraft(undefined);
          }
        }}
      />
      <Wrong>{due && wrong}</Wrong>
    </TextField>
  );
}
