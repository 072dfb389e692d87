import { useState } from 'react';
import styled from 'styled-components';
import { sendPicture } from '../../api/pictures';
import type { Schemas } from '../../api/client';
import { useBench } from '../../bench/workbench';
import { FileChoice } from '../../kit/FileChoice';
import { Button, Muted, Pick, Row, TextEntry } from '../../kit/kit';
import { Fields, Item } from '../../kit/layout';
import { word } from '../../words/words';

type Relocation = Schemas['RelocationDocument'];

const WHAT = (['MOVED', 'CUT', 'REMOVED'] as const).map((id) => ({ id, name: word('relocation', id) }));

const Photo = styled.img`
  max-width: 100%;
  max-height: 160px;
  border-radius: 4px;
`;

/** What has to move or be cut for the core, each with its photo; what stands in the way is offered. */
export function Relocations({ inTheWay }: { inTheWay: readonly string[] }) {
  const { design, now, changeDesign } = useBench();
  const list = design.relocations ?? [];
  const put = (relocations: Relocation[]) => changeDesign({ ...now().design, relocations });
  const offered = [...new Set(inTheWay)].filter((name) => !list.some((r) => r.name === name));
  return (
    <>
      <Muted>
        What is on this list is in nobody's way in the drawing, and has its step on the run sheet. Lines of the air
        conditioning are never opened at home.
      </Muted>
      {list.map((r, i) => (
        <One
          key={i}
          relocation={r}
          onChange={(change) => put(list.map((x, k) => (k === i ? { ...x, ...change } : x)))}
          onRemove={() => put(list.filter((_, k) => k !== i))}
        />
      ))}
      <Row>
        {offered.map((name) => (
          <Button key={name} onPress={() => put([...list, { name, what: 'MOVED' }])}>
            List {name}
          </Button>
        ))}
        <Button
          isDisabled={list.length >= 30}
          onPress={() => put([...list, { name: `item ${list.length + 1}`, what: 'MOVED' }])}
        >
          Add item
        </Button>
      </Row>
    </>
  );
}

function One(props: { relocation: Relocation; onChange: (change: Partial<Relocation>) => void; onRemove: () => void }) {
  const { relocation: r, onChange, onRemove } = props;
  const { view } = useBench();
  const [wrong, setWrong] = useState<string>();
  const add = (file: File) =>
    sendPicture(`/api/cars/${view.id}/pictures`, file).then(
      (picture) => {
        setWrong(undefined);
        onChange({ picture });
      },
      (e: Error) => setWrong(e.message),
    );
  return (
    <Item aria-label={r.name}>
      <Fields>
        <TextEntry label="Item" longest={60} value={r.name} onChange={(name) => onChange({ name })} />
        <Pick label="What is done" value={r.what} options={WHAT} onChange={(what) => onChange({ what })} />
      </Fields>
      <TextEntry
        label="Where it goes, or where it is cut"
        longest={200}
        needed={false}
        value={r.how ?? ''}
        onChange={(how) => onChange({ how })}
      />
      {r.picture && <Photo src={`/api/cars/${view.id}/pictures/${r.picture}`} alt={`Photo of ${r.name}`} />}
      {wrong && <p role="alert">▲ {wrong}</p>}
      <Row>
        <FileChoice
          label={`Photo of ${r.name}`}
          action={r.picture ? 'Another photo' : 'Add photo'}
          accept="image/jpeg,image/png,image/webp"
          onFile={(file) => void add(file)}
        />
        <Button aria-label={`Remove ${r.name}`} onPress={onRemove}>
          Remove
        </Button>
      </Row>
    </Item>
  );
}
