import { useState, type KeyboardEvent } from 'react';
import { Group, Input, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { usePreferences } from '../preferences/preferences';
import { formatNumber, parseQuantity, symbol, type Quantity } from '../units/units';
import { Button } from './Button';
import { FieldLabel, Wrong } from './text';

const Steps = styled(Group)`
  display: flex;
  align-items: stretch;
  border: 1px solid ${(p) => p.theme.line};
  border-radius: 4px;
  background: ${(p) => p.theme.sheet};
  overflow: hidden;
  &[data-focus-within] {
    outline: 2px solid ${(p) => p.theme.focus};
    outline-offset: 1px;
  }
  & button {
    border: 0;
    border-radius: 0;
    min-width: 42px;
    padding: 0;
    font-size: 20px;
    line-height: 1;
  }
  & button:first-of-type {
    border-right: 1px solid ${(p) => p.theme.faint};
  }
  & button:last-of-type {
    border-left: 1px solid ${(p) => p.theme.faint};
  }
  & input {
    font: inherit;
    font-size: 16px;
    &[data-long] {
      font-size: 14px;
    }
    font-variant-numeric: tabular-nums;
    min-width: 0;
    flex: 1;
    width: 100%;
    height: 40px;
    padding: 0 2px;
    text-align: center;
    border: 0;
    outline: 0;
    background: transparent;
    color: inherit;
  }
`;

interface QuantityFieldProps {
  readonly label: string;
  /** Undefined as long as nothing has been measured. */
  readonly value: number | undefined;
  readonly onChange: (value: number) => void;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly quantity?: Quantity;
  /** Unit of a figure that is the same for everybody. */
  readonly suffix?: string;
  readonly digits?: number;
}

/** A number with its unit: typed in either unit, stepped by buttons and arrow keys; what cannot be taken stays and says why. */
export function QuantityField(props: QuantityFieldProps) {
  const { label, value, onChange, min, max, step, quantity, suffix } = props;
  const { units } = usePreferences();
  const choice = quantity ? units[quantity] : 0;
  const digits = props.digits ?? (quantity ? undefined : step < 0.1 ? 2 : step < 1 ? 1 : 0);
  const shown = value === undefined ? '' : formatNumber(value, quantity, choice, digits);
  const [draft, setDraft] = useState<string | undefined>(undefined);
  // What is wrong is said when the field has been left or sent: half a number is no mistake yet.
  const [due, setDue] = useState(false);
  const unit = quantity ? symbol(quantity, choice) : (suffix ?? '');

  const parsed = draft === undefined ? value : parseQuantity(draft.replace('−', '-'), quantity, choice);
  const inRange = parsed !== undefined && parsed >= min - 1e-9 && parsed <= max + 1e-9;
  const bounds = `${formatNumber(min, quantity, choice, digits)} to ${formatNumber(max, quantity, choice, digits)} ${unit}`;
  const wrong =
    !due || draft === undefined || inRange || (draft === '' && value === undefined)
      ? undefined
      : parsed === undefined
        ? `${label}: a number from ${bounds} is expected`
        : `${label}: ${draft.trim()} is outside ${bounds}`;

  const commit = () => {
    setDue(true);
    if (draft !== undefined && parsed !== undefined && inRange) {
      onChange(parsed);
      setDraft(undefined);
      setDue(false);
    }
  };
  const move = (direction: number) => {
    const from = parsed ?? value ?? min;
    const moved = Math.round((from + direction * step) / step) * step;
    onChange(Math.max(min, Math.min(max, Number(moved.toFixed(6)))));
    setDraft(undefined);
    setDue(false);
  };
  const keys = (e: KeyboardEvent) => {
    const moves: Record<string, number> = { ArrowUp: 1, ArrowDown: -1, PageUp: 5, PageDown: -5 };
    const by = moves[e.key];
    if (by !== undefined) {
      e.preventDefault();
      move(by);
    } else if (e.key === 'Enter') {
      commit();
    } else if (e.key === 'Escape') {
      setDraft(undefined);
      setDue(false);
    }
  };

  return (
    <TextField value={draft ?? shown} onChange={setDraft} isInvalid={wrong !== undefined} onBlur={commit}>
      <FieldLabel>
        {label}
        {unit && <span aria-hidden>, {unit}</span>}
      </FieldLabel>
      <Steps>
        <Button
          aria-label={`Less: ${label}`}
          excludeFromTabOrder
          isDisabled={value === undefined || value <= min}
          onPress={() => move(-1)}
        >
          −
        </Button>
        <Input
          data-long={(draft ?? shown).length > 3 || undefined}
          inputMode="decimal"
          autoComplete="off"
          role="spinbutton"
          aria-valuenow={value}
          aria-valuetext={value === undefined ? 'not measured yet' : `${shown} ${unit}`}
          aria-valuemin={min}
          aria-valuemax={max}
          onKeyDown={keys}
        />
        <Button
          aria-label={`More: ${label}`}
          excludeFromTabOrder
          isDisabled={value !== undefined && value >= max}
          onPress={() => move(1)}
        >
          +
        </Button>
      </Steps>
      <Wrong>{wrong}</Wrong>
    </TextField>
  );
}
