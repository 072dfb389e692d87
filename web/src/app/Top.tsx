import { useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { amend, amendCar } from '../api/amend';
import { api, read, basedOn, create, type Schemas } from '../api/client';
import { queries } from '../api/queries';
import { Told } from './Repairs';
import { Actions, AskName, AskSure, Button, Pick, Row } from '../kit/kit';
import { PHONE } from '../kit/narrow';
import { useMay, useMe } from '../bench/me';
import { ChangesSheet } from './people/ChangesSheet';
import { LinksSheet } from './people/LinksSheet';
import { useBench } from '../bench/workbench';
import { moved } from '../bench/ordered';
import { useGo } from '../bench/useGo';

const StationHelp = lazy(async () => ({ default: (await import('../guide/StationHelp')).StationHelp }));

const Head = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px 10px;
  padding: 10px 20px;
  border-bottom: 1px solid ${(p) => p.theme.faint};
  & > .pick {
    min-width: 150px;
    max-width: 250px;
    flex: 1;
  }
  & > p {
    margin: 0 0 10px auto;
    font-size: 13px;
    color: ${(p) => p.theme.soft};
    max-width: 190px;
  }
  & > .one {
    padding: 0 11px;
  }
  @media ${PHONE} {
    padding: 8px 12px;
    & > .pick {
      min-width: 0;
      max-width: none;
      flex: 1 1 60%;
    }
    & > p {
      margin: 0 0 0 auto;
    }
  }
`;

export function Top({ cars }: { cars: Schemas['CarSummary'][] }) {
  const { view, car, designId, design, now, changeCar, changeDesign, undo, redo } = useBench();
  const { name } = design;
  const asBuilt = car.designs?.built;
  const built = asBuilt === designId;
  const move = (by: -1 | 1) => {
    const order = moved(view.designs, designId, by);
    if (order) {
      changeCar({ ...now().car, designs: { ...car.designs, order } });
    }
  };
  const { carId, station } = useParams();
  const client = useQueryClient();
  const go = useGo();
  const navigate = useNavigate();
  const [asked, setAsked] = useState<'copy' | 'rename' | 'remove' | 'removeCar' | 'hand' | 'changes'>();
  const [failed, setFailed] = useState<string>();
  const [help, setHelp] = useState(false);
  const builder = useMay('BUILDER');
  const together = useMe()?.together === true && builder;
  const close = () => setAsked(undefined);
  /** What is asked of the server and refused is said, not swallowed. */
  const run = (what: string, work: () => Promise<void>) => {
    setFailed(undefined);
    work().catch((e: unknown) => setFailed(`${what}: ${e instanceof Error ? e.message : String(e)}`));
  };
  useEffect(() => {
    const keys = (e: globalThis.KeyboardEvent) => {
      const target = e.target as HTMLElement;
      if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'z' && !target.closest('[role=dialog]')) {
        const run = e.shiftKey ? redo : undo;
        if (run) {
          e.preventDefault();
          run();
        }
      }
    };
    window.addEventListener('keydown', keys);
    return () => window.removeEventListener('keydown', keys);
  }, [undo, redo]);
  const copy = async (name: string) => {
    const added = await create((header) =>
      api.POST('/api/cars/{carId}/designs', {
        params: { path: { carId: view.id }, header },
        body: { ...design, name },
      }),
    );
    await amendCar(client, view.id, (v) => ({ ...v, designs: [...v.designs, added] }));
    go({ design: added.id, against: designId });
  };
  const remove = async () => {
    const version = view.designs.find((d) => d.id === designId)?.version;
    await read(api.DELETE('/api/designs/{id}', { params: { path: { id: designId }, header: basedOn(version) } }));
    const left = view.designs.filter((d) => d.id !== designId);
    await amendCar(client, view.id, (v) => ({ ...v, designs: v.designs.filter((d) => d.id !== designId) }));
    go({ design: left[0]?.id ?? '', against: undefined });
  };
  const removeCar = async () => {
    await read(api.DELETE('/api/cars/{id}', { params: { path: { id: view.id }, header: basedOn(view.version) } }));
    const left = cars.filter((c) => c.id !== carId);
    await amend(client, queries.cars().queryKey, () => left);
    if (left[0]) {
      go({ car: left[0].id, station: 'duty' });
    } else {
      void navigate('/start');
    }
  };
  return (
    <Head>
      <div className="pick">
        <Pick label="Car" value={view.id} options={cars} onChange={(id) => go({ car: id })} />
      </div>
      <Actions
        label="More about this car"
        actions={[
          { id: 'new', name: 'New car', disabled: !builder, run: () => void navigate('/start') },
          ...(together ? [{ id: 'hand', name: 'Hand over by a link…', run: () => setAsked('hand') }] : []),
          { id: 'changes', name: 'Last changes…', run: () => setAsked('changes') },
          { id: 'remove', name: 'Remove this car…', disabled: !builder, run: () => setAsked('removeCar') },
        ]}
      />
      <div className="pick">
        <Pick
          label="Design"
          value={designId}
          options={view.designs.map((d) => ({
            id: d.id,
            name: `${d.id === designId ? name : d.design.name}${d.id === asBuilt ? ', as built' : ''}`,
          }))}
          onChange={(id) => go({ design: id })}
        />
      </div>
      <Actions
        label="More about this design"
        actions={[
          { id: 'copy', name: 'Copy…', disabled: !builder, run: () => setAsked('copy') },
          { id: 'rename', name: 'Rename…', disabled: !builder, run: () => setAsked('rename') },
          {
            id: 'built',
            name: built ? 'Not as built' : 'Mark as built',
            disabled: !builder,
            run: () => changeCar({ ...now().car, designs: { ...car.designs, built: built ? undefined : designId } }),
          },
          {
            id: 'earlier',
            name: 'Move up in the list',
            disabled: !builder || moved(view.designs, designId, -1) === undefined,
            run: () => move(-1),
          },
          {
            id: 'later',
            name: 'Move down in the list',
            disabled: !builder || moved(view.designs, designId, 1) === undefined,
            run: () => move(1),
          },
          { id: 'compare', name: 'Compare all designs', run: () => go({ station: 'compare' }) },
          {
            id: 'remove',
            name: 'Remove…',
            disabled: !builder || view.designs.length < 2,
            run: () => setAsked('remove'),
          },
        ]}
      />
      <Button className="one" aria-label="Undo" isDisabled={!undo} onPress={() => undo?.()}>
        ↶
      </Button>
      <Button className="one" aria-label="Redo" isDisabled={!redo} onPress={() => redo?.()}>
        ↷
      </Button>
      {station !== 'compare' && view.designs.length > 1 && (
        <Button onPress={() => go({ station: 'compare' })}>Compare</Button>
      )}
      {station && station !== 'compare' && (
        <Button className="one" aria-label="About this station" onPress={() => setHelp(true)}>
          ?
        </Button>
      )}
      <SaveWord />
      {help && station && (
        <Suspense>
          <StationHelp
            station={station}
            name={station.charAt(0).toUpperCase() + station.slice(1)}
            onClose={() => setHelp(false)}
          />
        </Suspense>
      )}
      {failed && (
        <p role="alert" style={{ margin: 0 }}>
          ▲ {failed}
        </p>
      )}
      {asked === 'changes' && <ChangesSheet car={{ id: view.id, name: car.name }} onClose={close} />}
      {asked === 'hand' && <LinksSheet car={{ id: view.id, name: car.name }} onClose={close} />}
      {asked === 'copy' && (
        <AskName
          title="Copy this design"
          label="Name of the copy"
          value={`${design.name}, copy`.slice(0, 120)}
          action="Copy"
          onClose={close}
          onName={(name) => run('The design was not copied', () => copy(name))}
        />
      )}
      {asked === 'rename' && (
        <AskName
          title="Rename this design"
          label="Name"
          value={design.name}
          action="Rename"
          onClose={close}
          onName={(name) => changeDesign({ ...now().design, name })}
        />
      )}
      {asked === 'remove' && (
        <AskSure
          title="Remove this design"
          text={`“${design.name}” goes for good. The car and its other designs stay.`}
          action="Remove it"
          onClose={close}
          onSure={remove}
        />
      )}
      {asked === 'removeCar' && (
        <AskSure
          title="Remove this car"
          text={`“${view.car.name}” goes for good, with ${view.designs.length} designs, ${view.duties.length} duties and ${view.logs.length} logs.`}
          action="Remove the car"
          onClose={close}
          onSure={removeCar}
        />
      )}
    </Head>
  );
}

function SaveWord() {
  const { saves } = useBench();
  const kinds = saves.map((s) => s.state.kind);
  const word = kinds.includes('offline')
    ? 'No connection: your changes are kept here and sent when it is back'
    : kinds.includes('saving')
      ? 'Saving…'
      : kinds.includes('updated')
        ? 'Taken over from another window'
        : kinds.includes('tried')
          ? 'Tried, not kept: you are a viewer'
          : kinds.every((k) => k === 'saved')
            ? 'Saved'
            : '';
  return <p role="status">{word}</p>;
}

export function Conflicts() {
  const { saves } = useBench();
  return saves.map(({ what, state, settle }) =>
    state.kind === 'conflict' ? (
      <Told key={what} role="alert">
        ▲ This {what} was changed elsewhere since it was read here. Nothing is lost yet.
        <Row>
          <Button onPress={() => settle(true)}>Keep my changes</Button>
          <Button onPress={() => settle(false)}>Use the saved version</Button>
        </Row>
      </Told>
    ) : state.kind === 'refused' ? (
      <Told key={what} role="alert">
        ▲ This {what} was not saved: {state.message}
      </Told>
    ) : null,
  );
}
