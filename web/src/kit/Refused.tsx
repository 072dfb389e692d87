import styled from 'styled-components';

/** What was asked for and refused, read out at once. */
const Said = styled.p`
  margin: 0;
`;

export function Refused({ why }: { why: string | undefined }) {
  return why === undefined ? null : <Said role="alert">▲ {why}</Said>;
}
