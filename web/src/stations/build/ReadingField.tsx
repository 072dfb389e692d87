import { useState } from 'react';
import { FieldError, Input, Label, TextField } from 'react-aria-components';
import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import { usePreferences } from '../../preferences/preferences';
import { formatNumber, parseQuantity, symbol } from '../../units/units';
import { quantityOf } from '../../words/words';

const Look = styled(TextField)`
  display: flex;
  flex-direction: column;
  gap: 3px;
  max-width: 300px;
  & label {
    font-size: 13px;
    color: ${(p) => p.theme.soft};
  }
  & > div {
    display: flex;
    align-items: center;
    gap: 8px;
  }
  & input {
    font: inherit;
    font-size: 20px;
    font-variant-numeric: tabular-nums;
    width: 130px;
    min-height: 52px;
    padding: 0 12px;
    border: 1px solid ${(p) => p.theme.line};
    border-radius: 4px;
    background: ${(p) => p.theme.sheet};
    color: inherit;
  }
  & input[data-focused] {
    outline: 2px solid ${(p) => p.theme.focus};
    outline-offset: 1px;
  }
  & [slot='errorMessage'] {
    font-size: 13px;
    font-weight: 600;
  }
`;

/** A reading, typed in either unit and taken on Enter or when it is left. */
export function ReadingField(props: {
  reading: Schemas['SheetReading'];
  value: number | undefined;
  onRead: (value: number) => void;
}) {
  const { reading, value, onRead } = props;
  const { units } = usePreferences();
  const quantity = quantityOf(reading.measure);
  const unit = units[quantity];
  const [draft, setDraft] = useState<string>();
  const [wrong, setWrong] = useState<string>();
  const commit = () => {
    if (draft === undefined || draft.trim() === '') {
      setDraft(undefined);
      setWrong(undefined);
      return;
    }
    const read = parseQuantity(draft, quantity, unit);
    if (read === undefined) {
      setWrong(`${reading.name}: a figure in ${symbol(quantity, unit)} is expected`);
      return;
    }
    setWrong(undefined);
    setDraft(undefined);
    if (read !== value) {
      onRead(Math.round(read * 1000) / 1000);
    }
  };
  return (
    <Look
      value={draft ?? (value === undefined ? '' : formatNumber(value, quantity, unit))}
      onChange={setDraft}
      onBlur={commit}
      isInvalid={wrong !== undefined}
    >
      <Label>{reading.name}</Label>
      <div>
        <Input
          inputMode="decimal"
          autoComplete="off"
          onKeyDown={(e) => {
            if (e.key === 'Enter') {
              commit();
            }
          }}
        />
        <span>{symbol(quantity, unit)}</span>
      </div>
      <FieldError>{wrong && `▲ ${wrong}`}</FieldError>
    </Look>
  );
}
