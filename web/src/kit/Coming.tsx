import styled from 'styled-components';

const Room = styled.div`
  color: ${(p) => p.theme.soft};
`;

/**
 * Keeps the room of what is on its way, about as high as it will be: what stands below it is where it will stay, so that a press on
 * it is not lost when the answer comes. Idle when nobody works on it yet, or any more.
 */
export function Coming(props: { height: number; idle?: boolean; children: string }) {
  return (
    <Room aria-busy={!props.idle} style={{ minHeight: props.height }}>
      {props.children}
    </Room>
  );
}
