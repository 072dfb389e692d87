import { Label, Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { focusRing } from './look';
import { PHONE } from './narrow';

const Group = styled(RadioGroup)`
  & > div {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
`;

const Name = styled(Label)`
  display: block;
  font-weight: 650;
  margin-bottom: 6px;
`;

const Option = styled(Radio)`
  display: flex;
  align-items: center;
  min-height: 42px;
  padding: 2px 13px;
  border: 1px solid ${(p) => p.theme.line};
  border-radius: 4px;
  background: ${(p) => p.theme.sheet};
  cursor: pointer;
  &[data-hovered] {
    background: ${(p) => p.theme.press};
  }
  &[data-selected] {
    background: ${(p) => p.theme.ink};
    border-color: ${(p) => p.theme.ink};
    color: ${(p) => p.theme.paper};
  }
  @media ${PHONE} {
    min-height: 48px;
  }
  ${focusRing}
`;

interface ChoiceProps<K extends string> {
  readonly label: string;
  readonly options: readonly { readonly id: K; readonly name: string }[];
  /** Nothing as long as it is not answered. */
  readonly value: K | undefined;
  readonly onChange: (value: K) => void;
}

/** One of a few, all of them in sight: one press answers. */
export function Choice<K extends string>({ label, options, value, onChange }: ChoiceProps<K>) {
  return (
    <Group value={value ?? null} onChange={(v) => onChange(v as K)}>
      <Name>{label}</Name>
      <div>
        {options.map((o) => (
          <Option key={o.id} value={o.id}>
            {o.name}
          </Option>
        ))}
      </div>
    </Group>
  );
}
