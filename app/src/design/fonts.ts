/** The faces that ship with the app: a condensed one for headings and numbers, a legible one for text. */
export const fonts = {
  BarlowCondensed600: require('@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff2'),
  Atkinson400: require('@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-400-normal.woff2'),
  Atkinson700: require('@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-700-normal.woff2'),
};
