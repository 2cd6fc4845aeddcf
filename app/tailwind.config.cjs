const colour = (name) => `rgb(var(--c-${name}) / <alpha-value>)`;

/** @type {import('tailwindcss').Config} */
module.exports = {
  content: ['./app/**/*.{ts,tsx}', './src/**/*.{ts,tsx}'],
  presets: [require('nativewind/preset')],
  darkMode: 'class',
  theme: {
    extend: {
      colors: {
        ground: colour('ground'),
        surface: colour('surface'),
        raised: colour('raised'),
        line: colour('line'),
        ink: colour('ink'),
        soft: colour('soft'),
        cobalt: colour('cobalt'),
        'on-cobalt': colour('on-cobalt'),
        chalk: colour('chalk'),
        'on-chalk': colour('on-chalk'),
        vermilion: colour('vermilion'),
        'on-vermilion': colour('on-vermilion'),
      },
      fontFamily: {
        head: ['BarlowCondensed600'],
        text: ['Atkinson400'],
        // Classes are written in the order of the alphabet: `thick` must win over `text`.
        thick: ['Atkinson700'],
      },
      minHeight: { touch: '56px' },
      minWidth: { touch: '56px' },
    },
  },
};
