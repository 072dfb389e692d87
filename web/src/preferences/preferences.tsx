import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { ThemeProvider } from 'styled-components';
import { formatFigure, metric, type Quantity, type UnitChoice } from '../units/units';
import { paperUnits, say, type Message } from '../words/words';
import { dark, light } from './theme';

export interface Preferences {
  readonly units: UnitChoice;
  setUnit(quantity: Quantity, choice: 0 | 1): void;
  readonly themeName: 'light' | 'dark';
  setTheme(name: 'light' | 'dark'): void;
  /** A value with its unit; the digits, where they are given, are those of the metric unit. */
  show(base: number, quantity: Quantity, digits?: number): string;
  /** What the rules say, in words. */
  say(message: Message): string;
  /** What is put behind the address of a paper, so that it is in the same units. */
  readonly paper: string;
}

const Context = createContext<Preferences | undefined>(undefined);
const KEY = 'isotherm.preferences';

interface Kept {
  units: UnitChoice;
  theme: 'light' | 'dark';
}

function kept(): Kept {
  const system = window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
  try {
    const stored = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Kept>;
    return { units: { ...metric, ...stored.units }, theme: stored.theme ?? system };
  } catch {
    return { units: metric, theme: system };
  }
}

export function PreferencesProvider({ children }: { children: ReactNode }) {
  const [state, setState] = useState(kept);
  useEffect(() => localStorage.setItem(KEY, JSON.stringify(state)), [state]);
  const value = useMemo<Preferences>(
    () => ({
      units: state.units,
      setUnit: (quantity, choice) => setState((s) => ({ ...s, units: { ...s.units, [quantity]: choice } })),
      themeName: state.theme,
      setTheme: (theme) => setState((s) => ({ ...s, theme })),
      show: (base, quantity, digits) => formatFigure(base, quantity, state.units[quantity], digits),
      say: (message) => say(message, state.units),
      paper: paperUnits(state.units),
    }),
    [state],
  );
  return (
    <Context.Provider value={value}>
      <ThemeProvider theme={state.theme === 'light' ? light : dark}>{children}</ThemeProvider>
    </Context.Provider>
  );
}

export function usePreferences(): Preferences {
  const value = useContext(Context);
  if (!value) {
    throw new Error('usePreferences needs a PreferencesProvider above it');
  }
  return value;
}
