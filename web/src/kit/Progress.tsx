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
  const share = props.total > 0 ? Math.min(1, props.done / props.total) : undefined;
  return (
    <div>
      <Row style={{ justifyContent: 'space-between' }}>
        <span>
          {props.label}
          {props.done > 0 && `: ${props.done.toLocaleString('en')}`}
          {props.total > 0 && ` of ${props.total.toLocaleString('en')}`}
        </span>
        <Button onPress={props.onCancel}>Stop</Button>
      </Row>
      <Bar
        role="progressbar"
        aria-label={props.label}
        aria-valuemin={0}
        aria-valuemax={100}
        {...(share === undefined ? {} : { 'aria-valuenow': Math.round(share * 100) })}
      >
        <i style={{ width: `${(share ?? 0.5) * 100}%`, opacity: share === undefined ? 0.4 : 1 }} />
      </Bar>
    </div>
  );
}
