import { type ReactNode } from 'react';
import { Switch as AriaSwitch } from 'react-aria-components';
import styled from 'styled-components';
import { focusRing } from './look';

const SwitchLook = styled(AriaSwitch)`
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 38px;
  cursor: pointer;
  & > i {
    width: 38px;
    height: 22px;
    border-radius: 11px;
    border: 1px solid ${(p) => p.theme.line};
    position: relative;
    flex: none;
    background: ${(p) => p.theme.sheet};
  }
  & > i::after {
    content: '';
    position: absolute;
    top: 3px;
    left: 3px;
    width: 14px;
    height: 14px;
    border-radius: 50%;
    border: 1px solid ${(p) => p.theme.line};
    box-sizing: border-box;
  }
  &[data-selected] > i::after {
    left: 19px;
    background: ${(p) => p.theme.ink};
    border-color: ${(p) => p.theme.ink};
  }
  ${focusRing}
`;

export function Toggle(props: { label: ReactNode; value: boolean; onChange: (on: boolean) => void }) {
  return (
    <SwitchLook isSelected={props.value} onChange={props.onChange}>
      <i />
      {props.label}
    </SwitchLook>
  );
}
