import { Menu as AriaMenu, MenuItem, MenuTrigger } from 'react-aria-components';
import { Button } from './Button';
import { Floating } from './Pick';

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
