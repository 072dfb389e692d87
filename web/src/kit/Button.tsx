import { Button as AriaButton, Link as AriaLink } from 'react-aria-components';
import styled from 'styled-components';
import { pressed } from './look';

export const Button = styled(AriaButton)`
  ${pressed}
`;

/** Looks like a button, and is a link to a file. */
export const FileLink = styled(AriaLink)`
  ${pressed}
  display: inline-flex;
  align-items: center;
  text-decoration: none;
`;
