import 'styled-components';

/** All looks in one place. Colour stands for temperature only; everything else is ink on paper. */
export interface Theme {
  readonly name: 'light' | 'dark';
  readonly paper: string;
  readonly sheet: string;
  readonly ink: string;
  readonly soft: string;
  readonly line: string;
  readonly faint: string;
  readonly press: string;
  readonly focus: string;
}

export const light: Theme = {
  name: 'light',
  paper: '#f3f0e8',
  sheet: '#fbf9f4',
  ink: '#211f1b',
  soft: '#5d584d',
  line: '#8d8677',
  faint: '#d9d3c5',
  press: '#e6e1d5',
  focus: '#211f1b',
};

export const dark: Theme = {
  name: 'dark',
  paper: '#191815',
  sheet: '#211f1c',
  ink: '#efeae0',
  soft: '#b5ae9f',
  line: '#7f7868',
  faint: '#3a3731',
  press: '#34312b',
  focus: '#efeae0',
};

const COLDEST = 0;
const HOTTEST = 160;

/**
 * The one temperature scale: hue from blue over violet to orange, lightness even from end to end, so that it reads without
 * hue as well. In the dark theme hot is light, on paper hot is dark.
 */
export function temperatureColour(celsius: number, theme: Theme): string {
  const t = Math.max(0, Math.min(1, (celsius - COLDEST) / (HOTTEST - COLDEST)));
  const hue = 255 + t * 135;
  const lightness = theme.name === 'light' ? 0.78 - 0.34 * t : 0.42 + 0.4 * t;
  const chroma = 0.07 + 0.11 * t;
  return `oklch(${lightness.toFixed(3)} ${chroma.toFixed(3)} ${(hue % 360).toFixed(1)})`;
}

declare module 'styled-components' {
  export interface DefaultTheme extends Theme {}
}
