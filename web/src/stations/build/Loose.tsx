import { useState } from 'react';
import styled from 'styled-components';
import { usePresets } from '../../bench/presets';
import { FileChoice } from '../../kit/FileChoice';
import { Button, Muted, Row, TextEntry } from '../../kit/kit';
import { PHONE, useNarrow } from '../../kit/narrow';
import { usePreferences } from '../../preferences/preferences';
import { word } from '../../words/words';
import { BuildPicture } from './BuildPicture';
import { FastenerFields } from './FastenerFields';
import { described, looseWith, type Item, type LooseState } from './loose';
import type { BuildView, Sheet } from './useSheet';

const Off = styled.div`
  padding: 8px 0 12px 78px;
  display: flex;
  flex-direction: column;
  gap: 8px;
  & > div {
    display: flex;
    flex-direction: column;
    gap: 8px;
  }
  & b {
    display: inline-grid;
    place-items: center;
    min-width: 30px;
    height: 30px;
    border: 2px solid ${(p) => p.theme.ink};
    border-radius: 4px;
    font-size: 16px;
  }
  & img {
    max-width: 160px;
    max-height: 110px;
    border: 1px solid ${(p) => p.theme.line};
    border-radius: 4px;
  }
  @media ${PHONE} {
    padding-left: 0;
  }
`;

/** What came off, each with its letter, its fasteners and its pictures; going back on it runs backwards. */
export function Loose(props: { view: BuildView; sheet: Sheet; mayWrite: boolean; back: boolean }) {
  const { view, sheet, mayWrite, back } = props;
  const narrow = useNarrow();
  const { starts } = usePresets();
  const { show } = usePreferences();
  const [open, setOpen] = useState<string>();
  const off = looseWith(view, sheet.waiting);
  const took = (text: string, item?: Item, of = '') =>
    sheet.write({ kind: 'OFF', text, ...(of ? { on: of } : {}), ...(item ? { item } : {}) });
  const moved = (view.build.design.relocations ?? []).filter((r) => r.what !== 'REMOVED').map((r) => r.name);
  const offered = [...starts.comesOff, ...moved].filter((name) => !off.some((l) => l.off.text === name));
  const holder = (l: LooseState) => off.find((h) => h.off.id === l.off.on);
  const waits = off.filter((l) => !l.back);
  const words = (l: LooseState) =>
    described(l.off.item, l.off.item ? word('looseKind', l.off.item.kind) : '', (mm) => show(mm, 'length'));
  return (
    <Off>
      {back && off.length > 0 && (
        <strong role="status">
          {waits.length === 0 ? 'All is back on.' : `${waits.length} of ${off.length} to go back on, last off first.`}
        </strong>
      )}
      {(back ? off : inOrder(off)).map((l) => (
        <div key={l.off.id} style={l.off.on ? { paddingLeft: 42 } : {}}>
          <Row>
            {back && (
              <Button
                aria-label={`Back on: ${l.off.text}`}
                aria-pressed={l.back !== undefined}
                isDisabled={!mayWrite || l.back !== undefined || (holder(l) !== undefined && !holder(l)?.back)}
                style={{ width: 52, minHeight: 52 }}
                onPress={() => sheet.write({ kind: 'BACK_ON', on: l.off.id })}
              >
                {l.back ? '✓' : ''}
              </Button>
            )}
            <b aria-label={`Mark ${l.mark}`}>{l.mark}</b>
            <span>
              {l.off.text}
              {l.off.on && words(l) !== l.off.text && <Muted as="span"> {words(l)}</Muted>}
            </span>
            {!back && mayWrite && (
              <FileChoice
                label={`Picture of: ${l.off.text}`}
                action={narrow ? 'Take a picture' : 'Add a picture'}
                accept="image/jpeg,image/png,image/webp"
                camera={narrow}
                onFile={(picked) =>
                  void sheet.addPicture(picked).then((text) => sheet.write({ kind: 'PICTURE', on: l.off.id, text }))
                }
              />
            )}
            {!back && mayWrite && !l.off.on && (
              <Button
                aria-label={`Fasteners of ${l.mark}: ${l.off.text}`}
                aria-expanded={open === l.off.id}
                onPress={() => setOpen(open === l.off.id ? undefined : l.off.id)}
              >
                Fasteners
              </Button>
            )}
            {!back && (
              <Button
                aria-label={`Was not taken off: ${l.off.text}`}
                isDisabled={!mayWrite || l.back !== undefined}
                onPress={() => sheet.write({ kind: 'NOT_OFF', on: l.off.id })}
              >
                ✕
              </Button>
            )}
          </Row>
          {open === l.off.id && !back && (
            <FastenerFields
              mark={l.mark}
              onAdd={(item) =>
                took(
                  described(item, word('looseKind', item.kind), (mm) => show(mm, 'length')),
                  item,
                  l.off.id,
                )
              }
            />
          )}
          <Row>
            {[...l.notes, ...sheet.waiting.filter((w) => w.on === l.off.id)]
              .filter((n) => n.kind === 'PICTURE')
              .map((n) => (
                <BuildPicture
                  key={n.id}
                  buildId={view.id}
                  id={n.text ?? ''}
                  waits={sheet.waiting.includes(n)}
                  alt={`${l.mark}: ${l.off.text}`}
                />
              ))}
          </Row>
        </div>
      ))}
      {back && off.length === 0 && <Muted>Nothing is on the list of what came off.</Muted>}
      {!back && mayWrite && (
        <>
          <Muted>Tag each thing and the bag of its fasteners with its letter.</Muted>
          <Row>
            {offered.map((name) => (
              <Button key={name} onPress={() => took(name, { kind: moved.includes(name) ? 'PART' : 'PANEL' })}>
                Off: {name}
              </Button>
            ))}
          </Row>
          <TextEntry
            key={off.length}
            label="Came off: what"
            value=""
            longest={200}
            needed={false}
            onChange={(text) => {
              if (text.trim() !== '') {
                took(text.trim(), { kind: 'PART' });
              }
            }}
          />
        </>
      )}
    </Off>
  );
}

/** First off first, each with what holds it behind it. */
function inOrder(off: readonly LooseState[]): readonly LooseState[] {
  const own = off.filter((l) => !l.off.on);
  return [...own].reverse().flatMap((l) => [l, ...off.filter((h) => h.off.on === l.off.id).reverse()]);
}
