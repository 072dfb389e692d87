import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import { choices, range } from '../../api/descriptions';
import { Choice, Muted, QuantityField } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { word } from '../../words/words';
import type { Shows, useFirstCase } from './useFirstCase';

const List = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-direction: column;
  gap: 16px;
`;

const Short = styled.div`
  max-width: 260px;
`;

const SHOWS: readonly { id: Shows; name: string }[] = [
  { id: 'nothing', name: 'Nothing yet' },
  { id: 'gauge', name: 'A temperature on the dash' },
  { id: 'log', name: 'A log of a session' },
];

/** The five questions. What is not answered is taken as usual for the class. */
export function Questions(props: { classes: readonly Schemas['CarClass'][]; asked: ReturnType<typeof useFirstCase> }) {
  const { told, from, first, shows, tell, setShows, chooseClass } = props.asked;
  const number = (field: 'powerKw' | 'ambientC' | 'shownC') => range('FromClass', field);
  return (
    <List aria-label="Questions">
      <li>
        <Choice
          label="1  Which car is nearest to yours?"
          options={props.classes.map((c) => ({ id: c.id, name: c.name }))}
          value={told.classId}
          onChange={chooseClass}
        />
      </li>
      <li>
        <Choice
          label="2  What is the hardest that it does?"
          options={choices('FromClass', 'use').map((id) => ({ id, name: word('use', id) }))}
          value={told.use}
          onChange={(use) => tell({ use })}
        />
      </li>
      <li>
        <Fields>
          <QuantityField
            label="3  Engine power"
            {...number('powerKw')}
            quantity="power"
            step={5}
            value={told.powerKw ?? from?.car.engine.powerKw}
            onChange={(powerKw) => tell({ powerKw })}
          />
          <QuantityField
            label="4  Hottest air that it is driven in"
            {...number('ambientC')}
            quantity="temperature"
            step={1}
            value={told.ambientC ?? first?.duty.ambientC}
            onChange={(ambientC) => tell({ ambientC })}
          />
        </Fields>
      </li>
      <li>
        <Choice label="5  What does it show today?" options={SHOWS} value={shows} onChange={setShows} />
        {shows === 'gauge' && (
          <Short style={{ marginTop: 8 }}>
            <QuantityField
              label="Highest oil temperature shown"
              {...number('shownC')}
              quantity="temperature"
              step={1}
              value={told.shownC}
              onChange={(shownC) => tell({ shownC })}
            />
            <Muted>At the end of such a session, in that air, with the car as it is today.</Muted>
          </Short>
        )}
        {shows === 'log' && (
          <Muted as="p" style={{ margin: '8px 0 0' }}>
            It comes in together with the car and replaces most of what is guessed here.
          </Muted>
        )}
        {shows === 'nothing' && (
          <Muted as="p" style={{ margin: '8px 0 0' }}>
            Then the answer is wide. It says what to look at first.
          </Muted>
        )}
      </li>
    </List>
  );
}
