import { useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { queries } from '../../api/queries';
import { Button, Muted, Row } from '../../kit/kit';
import { usePreferences } from '../../preferences/preferences';
import { GarageFiles } from '../FilesSheet';
import { BrokenList } from '../Broken';
import { Answer } from './Answer';
import { DemoCars } from './DemoCars';
import { Questions } from './Questions';
import { useFirstCase } from './useFirstCase';

const Page = styled.main`
  max-width: 1180px;
  margin: 0 auto;
  padding: 18px 24px 40px;
  & > header {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 16px;
    margin-bottom: 14px;
  }
  & > header > :last-child {
    margin-left: auto;
  }
  & h1 {
    font-size: 21px;
    margin: 0;
    letter-spacing: -0.01em;
  }
  @media (max-width: 800px) {
    padding: 14px 14px 40px;
  }
`;

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
  const { themeName, setTheme } = usePreferences();
  const asked = useFirstCase(classes);
  const back = cars.find((c) => !c.broken) ?? cars[0];
  return (
    <Page>
      <header>
        <h1>Does this car need an oil cooler?</h1>
        <Muted>Five answers, and it is told at once how sure that is.</Muted>
        <Row>
          <Button onPress={() => setTheme(themeName === 'light' ? 'dark' : 'light')}>
            {themeName === 'light' ? 'Dark theme' : 'Light theme'}
          </Button>
          <Button onPress={() => void navigate('/guide')}>Guide</Button>
          {back && <Button onPress={() => void navigate(`/cars/${back.id}/duty`)}>Back to {back.name}</Button>}
        </Row>
      </header>
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
          Everything here is an estimate with its interval. The car maker’s figures, local rules and qualified people
          come first. Hot oil and hot coolant burn: read gauges, open nothing that is hot.
        </Muted>
      </p>
    </Page>
  );
}
