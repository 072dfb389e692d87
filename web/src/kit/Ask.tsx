import { useState, type ReactNode } from 'react';
import { Button } from './Button';
import { FormField } from './FormField';
import { Row } from './text';
import { Sheet } from './Sheet';

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
      <FormField
        label={props.label}
        value={name}
        onChange={setName}
        wrong={wrong ? `${props.label}: 1 to ${longest} characters are expected` : undefined}
        onEnter={done}
        autoFocus
      />
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

/**
 * Asks before something goes that cannot be brought back. It stays until that is done, so that nothing is pressed behind it
 * which belongs to what goes, and says why when it is refused.
 */
export function AskSure(props: {
  title: string;
  text: string;
  action: string;
  onClose: () => void;
  onSure: () => Promise<unknown>;
}) {
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string>();
  const sure = () => {
    setBusy(true);
    setRefused(undefined);
    props.onSure().then(props.onClose, (e: unknown) => {
      setBusy(false);
      setRefused(e instanceof Error ? e.message : String(e));
    });
  };
  return (
    <Sheet title={props.title} onClose={props.onClose} alert>
      <p style={{ margin: 0 }}>{props.text}</p>
      {refused && (
        <p role="alert" style={{ margin: 0 }}>
          ▲ Not removed: {refused}
        </p>
      )}
      <Row>
        <Button onPress={sure} isDisabled={busy}>
          {props.action}
        </Button>
        <Button onPress={props.onClose} autoFocus>
          Cancel
        </Button>
      </Row>
    </Sheet>
  );
}
