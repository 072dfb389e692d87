import { ProgressBar } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from './Button';
import { Row } from './text';

const Bar = styled.div`
  height: 10px;
  border: 1px solid ${(p) => p.theme.line};
  border-radius: 5px;
  overflow: hidden;
  background: ${(p) => p.theme.sheet};
  & > i {
    display: block;
    height: 100%;
    background: ${(p) => p.theme.ink};
  }
`;

/** How far long work is, with a way to stop it. */
export function Progress(props: { label: string; done: number; total: number; onCancel: () => void }) {
  const known = props.total > 0;
  return (
    <ProgressBar
      aria-label={props.label}
      value={props.done}
      maxValue={known ? props.total : 1}
      isIndeterminate={!known}
    >
      {({ percentage }) => (
        <>
          <Row style={{ justifyContent: 'space-between' }}>
            <span>
              {props.label}
              {props.done > 0 && `: ${props.done.toLocaleString('en')}`}
              {known && ` of ${props.total.toLocaleString('en')}`}
            </span>
            <Button onPress={props.onCancel}>Stop</Button>
          </Row>
          <Bar>
            <i style={{ width: `${percentage ?? 50}%`, opacity: percentage === undefined ? 0.4 : 1 }} />
          </Bar>
        </>
      )}
    </ProgressBar>
  );
}
