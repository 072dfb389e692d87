import { Fragment } from 'react';
import { usePreferences } from '../../preferences/preferences';
import { pieces, type Message, type SaidFigure } from '../../words/words';
import { Figure, type FigureKind } from './Figure';

/** What a figure of a finding or a verdict is, by its place in the sentence; else by what it measures. */
const NAMES: Record<string, FigureKind> = {
  peak: 'PEAK',
  bare: 'BARE_PEAK',
  plateau: 'PLATEAU',
  coolant: 'PEAK_COOLANT',
  target: 'TARGET',
  limit: 'OIL_LIMIT',
  bound: 'BOUND',
  floor: 'BOUND',
  rated: 'BOUND',
  least: 'BOUND',
  opens: 'OPENING',
  full: 'OPENING',
  ambient: 'AIR_TEMPERATURE',
  loop: 'LOOP_LOSS',
  odds: 'ODDS',
  oddsWithout: 'ODDS',
  inBand: 'ODDS',
  underLimit: 'ODDS',
  without: 'ODDS',
  relief: 'READING',
  speed: 'READING',
};

const MEASURES: Record<string, FigureKind> = {
  TEMPERATURE: 'PEAK',
  TEMPERATURE_DIFFERENCE: 'PEAK',
  PRESSURE: 'GALLERY_PRESSURE',
  VISCOSITY: 'FILM',
  VOLUME: 'ADDED_OIL',
  TIME: 'WARM_UP',
  SHARE: 'SHARE_OF_FACE',
  AIR_SPEED: 'FACE_SPEED',
  HEAT: 'CORE_HEAT',
};

/** Figures that are the present design's own, under the present duty. */
const OWN = new Set(['peak', 'bare', 'plateau', 'coolant', 'loop', 'viscosity']);

function Piece({ figure }: { figure: SaidFigure }) {
  const named = NAMES[figure.name];
  const measured = MEASURES[figure.measure];
  // A pressure without the cooler is a pressure, whatever its place is called.
  const kind =
    measured === undefined || measured === 'PEAK' || measured === 'SHARE_OF_FACE'
      ? (named ?? measured)
      : named === 'BOUND' || named === 'LOOP_LOSS' || named === 'READING'
        ? named
        : measured;
  return kind ? (
    <Figure of={kind} other={!OWN.has(figure.name)}>
      {figure.text}
    </Figure>
  ) : (
    figure.text
  );
}

/** What the rules say, with figures that open. */
export function Said({ message }: { message: Message }) {
  const { units } = usePreferences();
  return pieces(message, units).map((p, i) => (
    <Fragment key={i}>{typeof p === 'string' ? p : <Piece figure={p} />}</Fragment>
  ));
}
