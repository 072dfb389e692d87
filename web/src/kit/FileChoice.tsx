import { useRef } from 'react';
import { Button } from './kit';

/** A button that asks for a file. */
export function FileChoice(props: {
  /** What the file is, for those who do not see the button. */
  label: string;
  action: string;
  accept: string;
  isDisabled?: boolean;
  /** Straight to the camera where there is one. */
  camera?: boolean;
  onFile: (file: File) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button onPress={() => input.current?.click()} isDisabled={props.isDisabled ?? false}>
        {props.action}
      </Button>
      <input
        ref={input}
        type="file"
        aria-label={props.label}
        accept={props.accept}
        {...(props.camera ? { capture: 'environment' as const } : {})}
        hidden
        onChange={(e) => {
          const chosen = e.target.files?.[0];
          // The same file may be chosen again after it was mended.
          e.target.value = '';
          if (chosen) {
            props.onFile(chosen);
          }
        }}
      />
    </>
  );
}
