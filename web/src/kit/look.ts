import { css } from 'styled-components';
import { PHONE } from './narrow';

export const focusRing = css`
  &[data-focus-visible] {
    outline: 2px solid ${(p) => p.theme.focus};
    outline-offset: 2px;
  }
`;

export const pressed = css`
  font: inherit;
  min-height: 42px;
  padding: 0 14px;
  border: 1px solid ${(p) => p.theme.line};
  border-radius: 4px;
  background: ${(p) => p.theme.sheet};
  color: ${(p) => p.theme.ink};
  cursor: pointer;
  /* Under a car it is pressed with a glove. */
  @media ${PHONE} {
    min-height: 48px;
  }
  &[data-hovered],
  &[data-pressed] {
    background: ${(p) => p.theme.press};
  }
  &[data-disabled] {
    color: ${(p) => p.theme.line};
    cursor: default;
  }
  ${focusRing}
`;
