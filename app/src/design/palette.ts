import { useColorScheme } from 'nativewind';

/** Colours for drawings, the same as the tokens in global.css. */
export interface Palette {
  readonly ground: string;
  readonly surface: string;
  readonly raised: string;
  readonly line: string;
  readonly ink: string;
  readonly soft: string;
  readonly cobalt: string;
  readonly chalk: string;
  readonly onChalk: string;
  readonly vermilion: string;
}

const day: Palette = {
  ground: '#e7e9e6',
  surface: '#f4f5f2',
  raised: '#ffffff',
  line: '#b0b7ba',
  ink: '#0e161e',
  soft: '#3a454f',
  cobalt: '#1842aa',
  chalk: '#f2d040',
  onChalk: '#0e161e',
  vermilion: '#b02408',
};

const night: Palette = {
  ground: '#0c1219',
  surface: '#141d26',
  raised: '#1e2a36',
  line: '#465868',
  ink: '#f0f4f7',
  soft: '#b6c3ce',
  cobalt: '#8aadff',
  chalk: '#f6d95c',
  onChalk: '#0e141a',
  vermilion: '#ff8466',
};

export function usePalette(): Palette {
  return useColorScheme().colorScheme === 'dark' ? night : day;
}
