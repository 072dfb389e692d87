import { useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { queries } from '../../api/queries';
import { Button, Muted } from '../../kit/kit';
import { Page, WIDE } from '../Page';
import { GarageFiles } from '../FilesSheet';
import { BrokenList } from '../Broken';
import { Answer } from './Answer';
import { DemoCars } from './DemoCars';
import { Questions } from './Questions';
import { useFirstCase } from './useFirstCase';

const Two = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 18px 32px;
  align-items: start;
  @media (max-width: 800px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Also = styled.div`
  margin-top: 26px;
  padding-top: 16px;
  border-top: 1px solid ${(p) => p.theme.faint};
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 18px 32px;
  @media (max-width: 800px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/** The job from its first question: what the car is, what it does, what it shows; and the answer at once. */
export function Start() {
  const classes = useQuery(queries.classes()).data ?? [];
  const cars = useQuery(queries.cars()).data ?? [];
  const navigate = useNavigate();
  const asked = useFirstCase(classes);
  const back = cars.find((c) => !c.broken) ?? cars[0];
  return (
    <Page
      title="Does this car need an oil cooler?"
      told="Five answers, and it is told at once how sure that is."
      widest={WIDE}
      actions={
        <>
          <Button onPress={() => void navigate('/guide')}>Guide</Button>
          {back && <Button onPress={() => void navigate(`/cars/${back.id}/duty`)}>Back to {back.name}</Button>}
        </>
      }
    >
      <Two>
        <Questions classes={classes} asked={asked} />
        <Answer asked={asked} />
      </Two>
      <Also>
        <DemoCars />
        <div>
          <GarageFiles page empty={cars.length === 0} />
        </div>
        <BrokenList />
      </Also>
      <p style={{ marginTop: 26 }}>
        <Muted>
          Everything here is an estimate with its interval. The car maker's figures, local rules and qualified people
          come first. Hot oil and hot coolant burn: read gauges, open nothing that is hot.
        </Muted>
      </p>
    </Page>
  );
}
