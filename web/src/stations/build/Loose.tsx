import styled from 'styled-components';
import { usePresets } from '../../bench/presets';
import { FileChoice } from '../../kit/FileChoice';
import { Button, Muted, Row, TextEntry } from '../../kit/kit';
import { PHONE, useNarrow } from '../../kit/narrow';
import type { BuildView, Sheet } from './useSheet';

const Off = styled.div`
  padding: 8px 0 12px 78px;
  display: flex;
  flex-direction: column;
  gap: 8px;
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

/** What came off, each with its letter and its pictures; going back on it runs backwards. */
export function Loose(props: { view: BuildView; sheet: Sheet; mayWrite: boolean; back: boolean }) {
  const { view, sheet, mayWrite, back } = props;
  const narrow = useNarrow();
  const { starts } = usePresets();
  const { off } = view.progress;
  const waiting = sheet.waiting.filter((w) => w.kind === 'OFF');
  const isBack = (id: string) => sheet.waiting.some((w) => w.kind === 'BACK_ON' && w.on === id);
  const took = (text: string) => sheet.write({ kind: 'OFF', text });
  const usual = [
    ...starts.comesOff,
    ...(view.build.design.relocations ?? []).filter((r) => r.what !== 'REMOVED').map((r) => r.name),
  ];
  const offered = usual.filter(
    (name) => !off.some((l) => l.off.text === name) && !waiting.some((w) => w.text === name),
  );
  return (
    <Off>
      {(back ? off : [...off].reverse()).map((l) => (
        <div key={l.off.id}>
          <Row>
            {back && (
              <Button
                aria-label={`Back on: ${l.off.text}`}
                aria-pressed={l.back !== undefined || isBack(l.off.id)}
                isDisabled={!mayWrite || l.back !== undefined}
                style={{ width: 52, minHeight: 52 }}
                onPress={() => sheet.write({ kind: 'BACK_ON', on: l.off.id })}
              >
                {l.back || isBack(l.off.id) ? '✓' : ''}
              </Button>
            )}
            <b aria-label={`Mark ${l.mark}`}>{l.mark}</b>
            <span>{l.off.text}</span>
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
          <Row>
            {l.notes
              .filter((n) => n.kind === 'PICTURE')
              .map((n) => (
                <img key={n.id} src={`/api/builds/${view.id}/pictures/${n.text}`} alt={`${l.mark}: ${l.off.text}`} />
              ))}
          </Row>
        </div>
      ))}
      {!back && waiting.map((w) => <span key={w.id}>{w.text}</span>)}
      {back && off.length === 0 && <Muted>Nothing is on the list of what came off.</Muted>}
      {!back && mayWrite && (
        <>
          <Muted>Tag each thing and the bag of its fasteners with its letter.</Muted>
          <Row>
            {offered.map((name) => (
              <Button key={name} onPress={() => took(name)}>
                Off: {name}
              </Button>
            ))}
          </Row>
          <TextEntry
            key={off.length + waiting.length}
            label="Came off: what, and how many clips and bolts"
            value=""
            longest={200}
            needed={false}
            onChange={(text) => {
              if (text.trim() !== '') {
                took(text.trim());
              }
            }}
          />
        </>
      )}
    </Off>
  );
}
