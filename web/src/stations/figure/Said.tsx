import { Fragment } from 'react';
import { usePreferences } from '../../preferences/preferences';
import { pieces, type Message, type SaidFigure } from '../../words/words';
import { Figure, type FigureKind } from './Figure';

type Kinds = Readonly<Record<string, FigureKind>>;

/** Figures of the case at hand, by the message that they stand in; what moves them can be told. */
const OWN: Readonly<Record<string, Kinds>> = {
  'finding.TOO_HOT.what': { peak: 'PEAK' },
  'finding.TOO_HOT.why': { viscosity: 'FILM', rate: 'CLIMB' },
  'finding.MARGINAL.why': { peak: 'PEAK', plateau: 'PLATEAU' },
  'finding.HOLDS.why': { peak: 'PEAK', plateau: 'PLATEAU' },
  'finding.NOT_NEEDED.what': { peak: 'BARE_PEAK' },
  'finding.THIN_FILM.what': { viscosity: 'FILM', peak: 'PEAK' },
  'finding.COOLANT_PAYS.what': { coolant: 'PEAK_COOLANT' },
  'finding.COOLANT_BOILS.what': { coolant: 'PEAK_COOLANT' },
  'finding.TOO_COLD.what': { oil: 'ROAD_OIL' },
  'finding.INTAKE_HEATED.why': { air: 'AIR_OUTLET' },
  'verdict.NOT_NEEDED.why': { bare: 'BARE_PEAK' },
  'verdict.NEEDED_FOR_PLANNED.why': { bare: 'BARE_PEAK' },
  'verdict.PROBABLY_NOT.why': { then: 'PEAK' },
  'verdict.CANNOT_TELL.why': { then: 'PEAK' },
  'verdict.TRY_FIRST.why': { then: 'PEAK' },
  'verdict.PROBABLY_NEEDED.why': { then: 'PEAK' },
  'verdict.NEEDED.why': { bare: 'BARE_PEAK', then: 'PEAK' },
  'verdict.COVERED.why': { bare: 'BARE_PEAK', then: 'PEAK' },
};

/** All others, by what they measure and their place in the sentence; where the place says nothing, by the first. */
const OTHERS: Readonly<Record<string, readonly [FigureKind, Kinds?]>> = {
  TEMPERATURE: [
    'PEAK',
    {
      coolant: 'PEAK_COOLANT',
      without: 'PEAK_COOLANT',
      target: 'TARGET',
      limit: 'OIL_LIMIT',
      bound: 'BOUND',
      warm: 'BOUND',
      opens: 'OPENING',
      full: 'OPENING',
      ambient: 'CONDITION',
      oil: 'CONDITION',
    },
  ],
  TEMPERATURE_DIFFERENCE: ['DIFFERENCE'],
  TEMPERATURE_RATE: ['CLIMB'],
  PRESSURE: [
    'PRESSURE_AT_POINT',
    { loop: 'LOOP_LOSS', floor: 'BOUND', bound: 'BOUND', test: 'BOUND', relief: 'READING' },
  ],
  VISCOSITY: ['FILM', { bound: 'BOUND' }],
  VOLUME: ['ADDED_OIL'],
  TIME: ['WARM_UP'],
  SHARE: ['SHARE_OF_FACE', { odds: 'ODDS', oddsWithout: 'ODDS', inBand: 'ODDS', underLimit: 'ODDS' }],
  SPEED: ['CONDITION'],
  ENGINE_SPEED: ['CONDITION'],
  AIR_SPEED: ['FACE_SPEED'],
  HEAT: ['CORE_HEAT'],
};

function Piece({ of, figure }: { of: string; figure: SaidFigure }) {
  const own = OWN[of]?.[figure.name];
  const [usual, placed] = OTHERS[figure.measure] ?? [];
  const kind = own ?? placed?.[figure.name] ?? usual;
  return kind ? (
    <Figure of={kind} other={own === undefined}>
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
    <Fragment key={i}>{typeof p === 'string' ? p : <Piece of={message.key} figure={p} />}</Fragment>
  ));
}
