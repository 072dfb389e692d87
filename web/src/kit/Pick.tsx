import { ListBox, ListBoxItem, Popover, Select as AriaSelect, SelectValue } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from './Button';
import { FieldLabel } from './text';

const PickButton = styled(Button)`
  width: 100%;
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  text-align: left;
  & > span:first-child {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
`;

export const Floating = styled(Popover)`
  min-width: var(--trigger-width);
  max-width: 420px;
  max-height: 420px;
  overflow: auto;
  background: ${(p) => p.theme.sheet};
  color: ${(p) => p.theme.ink};
  border: 1px solid ${(p) => p.theme.line};
  border-radius: 4px;
  & [role='option'],
  & [role='menuitem'] {
    padding: 9px 14px;
    cursor: pointer;
    outline: 0;
  }
  & [role='menuitem'][data-disabled] {
    color: ${(p) => p.theme.line};
  }
  & [role='option'][data-focused],
  & [role='menuitem'][data-focused] {
    background: ${(p) => p.theme.press};
  }
  & [role='option'][data-selected] {
    font-weight: 650;
  }
`;

interface PickProps<K extends string> {
  readonly label: string;
  readonly hideLabel?: boolean;
  readonly options: readonly { readonly id: K; readonly name: string }[];
  readonly value: K;
  readonly onChange: (value: K) => void;
}

export function Pick<K extends string>({ label, hideLabel, options, value, onChange }: PickProps<K>) {
  return (
    <AriaSelect
      aria-label={label}
      value={value}
      onChange={(key) => {
        if (key !== null) {
          onChange(key as K);
        }
      }}
    >
      {!hideLabel && <FieldLabel>{label}</FieldLabel>}
      <PickButton>
        <SelectValue />
        <span aria-hidden>▾</span>
      </PickButton>
      <Floating>
        <ListBox>
          {options.map((o) => (
            <ListBoxItem key={o.id} id={o.id} textValue={o.name}>
              {o.name}
            </ListBoxItem>
          ))}
        </ListBox>
      </Floating>
    </AriaSelect>
  );
}
