import { useState, type ReactNode } from 'react';
import styled from 'styled-components';

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
