import type { CSSProperties, ReactNode } from 'react';
import { Dialog as AriaDialog, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { Heading } from './text';

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

/** A leaf laid over the page. Escape and the ways out that it offers close it. */
export function Sheet(props: {
  title: string;
  onClose: () => void;
  children: ReactNode;
  widest?: string;
  /** Something is at stake: what it says is read out at once. */
  alert?: boolean;
}) {
  return (
    <Behind isOpen isDismissable onOpenChange={(open) => !open && props.onClose()}>
      <Leaf style={{ '--widest': props.widest ?? '560px' } as CSSProperties}>
        <AriaDialog aria-label={props.title} role={props.alert ? 'alertdialog' : 'dialog'}>
          <Heading>{props.title}</Heading>
          {props.children}
        </AriaDialog>
      </Leaf>
    </Behind>
  );
}
