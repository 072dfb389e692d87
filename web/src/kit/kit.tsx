import { useState, type KeyboardEvent, type ReactNode } from 'react';
import {
  Button as AriaButton,
  Dialog as AriaDialog,
  FieldError,
  Group,
  Input,
  Label,
  Link as AriaLink,
  ListBox,
  ListBoxItem,
  Menu as AriaMenu,
  MenuItem,
  MenuTrigger,
  Modal,
  ModalOverlay,
  Popover,
  Select as AriaSelect,
  SelectValue,
  Slider as AriaSlider,
  SliderOutput,
  SliderThumb,
  SliderTrack,
  Switch as AriaSwitch,
  TextField,
} from 'react-aria-components';
import styled, { css } from 'styled-components';
import { usePreferences } from '../app/preferences';
import { formatNumber, parseQuantity, symbol, type Quantity } from '../units/units';

const focusRing = css`
  &[data-focus-visible] {
    outline: 2px solid ${(p) => p.theme.focus};
    outline-offset: 2px;
  }
`;

const pressed = css`
  font: inherit;
  min-height: 42px;
  padding: 0 14px;
  border: 1px solid ${(p) => p.theme.line};
  border-radius: 4px;
  background: ${(p) => p.theme.sheet};
  color: ${(p) => p.theme.ink};
  cursor: pointer;
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

export const Heading = styled.h2`
  font-size: 15px;
  font-weight: 650;
  margin: 0;
`;

export const Muted = styled.span`
  color: ${(p) => p.theme.soft};
`;

const FieldLabel = styled(Label)`
  display: block;
  font-size: 13px;
  color: ${(p) => p.theme.soft};
  margin-bottom: 3px;
`;

const Wrong = styled(FieldError)`
  display: block;
  font-size: 13px;
  font-weight: 600;
  margin-top: 3px;
  &::before {
    content: '▲ ';
  }
`;

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
    font-variant-numeric: tabular-nums;
    min-width: 0;
    flex: 1;
    width: 100%;
    height: 40px;
    padding: 0 4px;
    text-align: center;
    border: 0;
    outline: 0;
    background: transparent;
    color: inherit;
  }
`;

interface QuantityFieldProps {
  readonly label: string;
  readonly value: number;
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
  const shown = formatNumber(value, quantity, choice, digits);
  const [draft, setDraft] = useState<string | undefined>(undefined);
  const unit = quantity ? symbol(quantity, choice) : (suffix ?? '');

  const parsed = draft === undefined ? value : parseQuantity(draft.replace('−', '-'), quantity, choice);
  const inRange = parsed !== undefined && parsed >= min - 1e-9 && parsed <= max + 1e-9;
  const bounds = `${formatNumber(min, quantity, choice, digits)} to ${formatNumber(max, quantity, choice, digits)} ${unit}`;
  const wrong =
    draft === undefined || inRange
      ? undefined
      : parsed === undefined
        ? `${label}: a number from ${bounds} is expected`
        : `${label}: ${draft.trim()} is outside ${bounds}`;

  const commit = () => {
    if (draft !== undefined && parsed !== undefined && inRange) {
      onChange(parsed);
      setDraft(undefined);
    }
  };
  const move = (direction: number) => {
    const from = parsed ?? value;
    const moved = Math.round((from + direction * step) / step) * step;
    onChange(Math.max(min, Math.min(max, Number(moved.toFixed(6)))));
    setDraft(undefined);
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
    }
  };

  return (
    <TextField value={draft ?? shown} onChange={setDraft} isInvalid={wrong !== undefined} onBlur={commit}>
      <FieldLabel>
        {label}
        {unit && <span aria-hidden>, {unit}</span>}
      </FieldLabel>
      <Steps>
        <Button aria-label={`Less: ${label}`} excludeFromTabOrder isDisabled={value <= min} onPress={() => move(-1)}>
          −
        </Button>
        <Input
          inputMode="decimal"
          autoComplete="off"
          role="spinbutton"
          aria-valuenow={value}
          aria-valuetext={`${shown} ${unit}`}
          aria-valuemin={min}
          aria-valuemax={max}
          onKeyDown={keys}
        />
        <Button aria-label={`More: ${label}`} excludeFromTabOrder isDisabled={value >= max} onPress={() => move(1)}>
          +
        </Button>
      </Steps>
      <Wrong>{wrong}</Wrong>
    </TextField>
  );
}

const PickButton = styled(Button)`
  width: 100%;
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  text-align: left;
  & > span:first-child {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
`;

const Floating = styled(Popover)`
  min-width: var(--trigger-width);
  max-width: 420px;
  max-height: 420px;
  overflow: auto;
  background: ${(p) => p.theme.sheet};
  color: ${(p) => p.theme.ink};
  border: 1px solid ${(p) => p.theme.line};
  border-radius: 4px;
  & [role='option'],
  & [role='menuitem'] {
    padding: 9px 14px;
    cursor: pointer;
    outline: 0;
  }
  & [role='menuitem'][data-disabled] {
    color: ${(p) => p.theme.line};
  }
  & [role='option'][data-focused],
  & [role='menuitem'][data-focused] {
    background: ${(p) => p.theme.press};
  }
  & [role='option'][data-selected] {
    font-weight: 650;
  }
`;

interface PickProps<K extends string> {
  readonly label: string;
  readonly hideLabel?: boolean;
  readonly options: readonly { readonly id: K; readonly name: string }[];
  readonly value: K;
  readonly onChange: (value: K) => void;
}

export function Pick<K extends string>({ label, hideLabel, options, value, onChange }: PickProps<K>) {
  return (
    <AriaSelect
      aria-label={label}
      value={value}
      onChange={(key) => {
        if (key !== null) {
          onChange(key as K);
        }
      }}
    >
      {!hideLabel && <FieldLabel>{label}</FieldLabel>}
      <PickButton>
        <SelectValue />
        <span aria-hidden>▾</span>
      </PickButton>
      <Floating>
        <ListBox>
          {options.map((o) => (
            <ListBoxItem key={o.id} id={o.id} textValue={o.name}>
              {o.name}
            </ListBoxItem>
          ))}
        </ListBox>
      </Floating>
    </AriaSelect>
  );
}

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

const SlideLook = styled(AriaSlider)`
  & .track {
    height: 38px;
    position: relative;
    cursor: pointer;
  }
  & .track::before {
    content: '';
    position: absolute;
    left: 0;
    right: 0;
    top: 18px;
    height: 2px;
    background: ${(p) => p.theme.line};
  }
  & .thumb {
    top: 50%;
    width: 20px;
    height: 30px;
    border-radius: 4px;
    background: ${(p) => p.theme.ink};
    border: 2px solid ${(p) => p.theme.sheet};
    touch-action: none;
    ${focusRing}
  }
`;

export function Slide(props: {
  label: string;
  value: number;
  min: number;
  max: number;
  onChange: (value: number) => void;
}) {
  return (
    <SlideLook
      aria-label={props.label}
      value={props.value}
      minValue={props.min}
      maxValue={props.max}
      onChange={(v) => props.onChange(v as number)}
    >
      <SliderTrack className="track">
        <SliderThumb className="thumb" />
      </SliderTrack>
      <SliderOutput hidden />
    </SlideLook>
  );
}

interface TextEntryProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly longest?: number;
  /** A name has to be there. */
  readonly needed?: boolean;
  readonly autoFocus?: boolean;
}

const Line = styled(Input)`
  font: inherit;
  font-size: 16px;
  width: 100%;
  height: 42px;
  padding: 0 10px;
  border: 1px solid ${(p) => p.theme.line};
  border-radius: 4px;
  background: ${(p) => p.theme.sheet};
  color: inherit;
  outline: 0;
  &[data-focused] {
    outline: 2px solid ${(p) => p.theme.focus};
    outline-offset: 1px;
  }
`;

/** A line of text, taken when it is left or on Enter. */
export function TextEntry({ label, value, onChange, longest = 120, needed = true, autoFocus }: TextEntryProps) {
  const [draft, setDraft] = useState<string>();
  const text = draft ?? value;
  const wrong =
    needed && text.trim() === ''
      ? `${label}: a text of 1 to ${longest} characters is expected`
      : text.length > longest
        ? `${label}: at most ${longest} characters; these are ${text.length}`
        : undefined;
  const commit = () => {
    if (draft !== undefined && !wrong) {
      if (draft !== value) {
        onChange(draft);
      }
      setDraft(undefined);
    }
  };
  return (
    <TextField value={text} onChange={setDraft} isInvalid={wrong !== undefined} onBlur={commit} autoFocus={!!autoFocus}>
      <FieldLabel>{label}</FieldLabel>
      <Line
        autoComplete="off"
        onKeyDown={(e) => {
          if (e.key === 'Enter') {
            commit();
          } else if (e.key === 'Escape') {
            setDraft(undefined);
          }
        }}
      />
      <Wrong>{wrong}</Wrong>
    </TextField>
  );
}

interface Action {
  readonly id: string;
  readonly name: string;
  readonly disabled?: boolean;
  readonly run: () => void;
}

/** A button that offers a list of actions. */
export function Actions({ label, actions }: { label: string; actions: readonly Action[] }) {
  return (
    <MenuTrigger>
      <Button aria-label={label}>⋯</Button>
      <Floating>
        <AriaMenu
          aria-label={label}
          onAction={(id) => actions.find((a) => a.id === id)?.run()}
          disabledKeys={actions.filter((a) => a.disabled).map((a) => a.id)}
        >
          {actions.map((a) => (
            <MenuItem key={a.id} id={a.id} textValue={a.name}>
              {a.name}
            </MenuItem>
          ))}
        </AriaMenu>
      </Floating>
    </MenuTrigger>
  );
}

const Behind = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  background: rgb(0 0 0 / 45%);
  display: grid;
  place-items: center;
  z-index: 100;
`;

const Leaf = styled(Modal)`
  background: ${(p) => p.theme.paper};
  color: ${(p) => p.theme.ink};
  border: 1px solid ${(p) => p.theme.line};
  border-radius: 6px;
  max-width: min(94vw, var(--widest, 560px));
  width: 100%;
  max-height: 92vh;
  overflow: auto;
  & [role='dialog'],
  & [role='alertdialog'] {
    outline: 0;
    padding: 18px 22px 20px;
    display: flex;
    flex-direction: column;
    gap: 14px;
  }
`;

export const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
`;

/** A leaf laid over the page. Escape and the ways out that it offers close it. */
export function Sheet(props: { title: string; onClose: () => void; children: ReactNode; widest?: string }) {
  return (
    <Behind isOpen isDismissable onOpenChange={(open) => !open && props.onClose()}>
      <Leaf style={{ ['--widest' as string]: props.widest ?? '560px' }}>
        <AriaDialog aria-label={props.title}>
          <Heading>{props.title}</Heading>
          {props.children}
        </AriaDialog>
      </Leaf>
    </Behind>
  );
}

/** Asks for a name. */
export function AskName(props: {
  title: string;
  label: string;
  value: string;
  action: string;
  /** What has to be known before it is answered. */
  text?: string;
  longest?: number;
  /** What else is asked for. */
  children?: ReactNode;
  onClose: () => void;
  onName: (name: string) => void;
}) {
  const [name, setName] = useState(props.value);
  const longest = props.longest ?? 120;
  const wrong = name.trim() === '' || name.length > longest;
  const done = () => {
    if (!wrong) {
      props.onName(name.trim());
      props.onClose();
    }
  };
  return (
    <Sheet title={props.title} onClose={props.onClose}>
      {props.text && <p style={{ margin: 0 }}>{props.text}</p>}
      <TextField value={name} onChange={setName} isInvalid={wrong} autoFocus>
        <FieldLabel>{props.label}</FieldLabel>
        <Line autoComplete="off" onKeyDown={(e) => e.key === 'Enter' && done()} />
        <Wrong>{wrong && `${props.label}: 1 to ${longest} characters are expected`}</Wrong>
      </TextField>
      {props.children}
      <Row>
        <Button onPress={done} isDisabled={wrong}>
          {props.action}
        </Button>
        <Button onPress={props.onClose}>Cancel</Button>
      </Row>
    </Sheet>
  );
}

/** Asks before something goes that cannot be brought back. */
export function AskSure(props: {
  title: string;
  text: string;
  action: string;
  onClose: () => void;
  onSure: () => void;
}) {
  return (
    <Sheet title={props.title} onClose={props.onClose}>
      <p style={{ margin: 0 }}>{props.text}</p>
      <Row>
        <Button
          onPress={() => {
            props.onSure();
            props.onClose();
          }}
        >
          {props.action}
        </Button>
        <Button onPress={props.onClose} autoFocus>
          Cancel
        </Button>
      </Row>
    </Sheet>
  );
}

const FoldLook = styled.details`
  border-top: 1px solid ${(p) => p.theme.faint};
  & > summary {
    display: flex;
    justify-content: space-between;
    gap: 10px;
    min-height: 42px;
    align-items: center;
    font-weight: 650;
    cursor: pointer;
    list-style: none;
    border-radius: 3px;
  }
  & > summary::-webkit-details-marker {
    display: none;
  }
  & > summary::before {
    content: '▸';
    width: 12px;
    color: ${(p) => p.theme.soft};
  }
  &[open] > summary::before {
    content: '▾';
  }
  & > summary > span {
    flex: 1 0 auto;
  }
  & > summary > small {
    min-width: 0;
    font-weight: 400;
    font-size: 13px;
    color: ${(p) => p.theme.soft};
    text-align: right;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  & > summary:focus-visible {
    outline: 2px solid ${(p) => p.theme.focus};
    outline-offset: -2px;
  }
  & > div {
    display: flex;
    flex-direction: column;
    gap: 10px;
    padding: 2px 0 14px;
  }
`;

/** A part of the choices that can be folded away; what is in it stands in short beside its name. */
export function Fold(props: {
  name: string;
  short?: string;
  open?: boolean;
  onOpen?: (open: boolean) => void;
  children: ReactNode;
}) {
  // What is folded away is not there at all: dozens of fields cost time at every change otherwise.
  const [open, setOpen] = useState(props.open ?? false);
  return (
    <FoldLook
      open={open}
      onToggle={(e) => {
        setOpen(e.currentTarget.open);
        props.onOpen?.(e.currentTarget.open);
      }}
    >
      <summary>
        <span>{props.name}</span>
        {props.short && <small>{props.short}</small>}
      </summary>
      {open && <div>{props.children}</div>}
    </FoldLook>
  );
}

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
