const { light } = require('./src/ui/tokens.json');

/** Widths of what is typed into and of what stands side by side, so that things of one kind are equally wide. */
const widths = {
  // fields, by what is written: a number, a number with its unit, a day or a short name, a name, a list of names
  'field-s': '100px',
  'field-m': '130px',
  'field-l': '170px',
  'field-xl': '220px',
  'field-2xl': '300px',
  // things beside each other, the least they take
  'column-xs': '72px',
  'column-s': '84px',
  'column-m': '120px',
  'column-l': '180px',
  'column-xl': '260px',
  // what they take at most: a short text, a sheet, a page
  note: '520px',
  sheet: '820px',
  page: '1100px',
};

/** Colours are CSS variables, so that one class serves both themes; the values stand in src/ui/tokens.json. */
const colors = Object.fromEntries(Object.keys(light).map((name) => [name, `var(--${name})`]));

/** @type {import('tailwindcss').Config} */
module.exports = {
  darkMode: 'class',
  content: ['./app/**/*.{ts,tsx}', './src/{features,ui}/**/*.{ts,tsx}'],
  presets: [require('nativewind/preset')],
  theme: {
    extend: {
      colors,
      fontFamily: {
        text: ['Atkinson', 'sans-serif'],
        strong: ['AtkinsonBold', 'sans-serif'],
        head: ['Bricolage', 'sans-serif'],
      },
      fontSize: {
        small: ['14px', '20px'],
        body: ['16px', '24px'],
        lead: ['18px', '26px'],
        title: ['22px', '28px'],
        headline: ['31px', '36px'],
        huge: ['44px', '48px'],
        // read or tapped from two metres, with wet hands
        step: ['23px', '32px'],
        action: ['28px', '34px'],
        count: ['72px', '80px'],
        clock: ['104px', '112px'],
      },
      spacing: { 4.5: '18px', rail: '104px', bar: '88px' },
      width: widths,
      maxWidth: widths,
      minWidth: { ...widths, target: '44px' },
      minHeight: { target: '44px', wet: '56px', row: '64px', action: '92px', pad: '220px' },
    },
  },
  plugins: [
    // Set by the page itself (useWide): a media query knows nothing of text that is enlarged.
    ({ addVariant }) => addVariant('wide', '.wide &'),
    ({ addBase }) => {
      const { light: day, dark: night } = require('./src/ui/tokens.json');
      const variables = (tokens) =>
        Object.fromEntries(Object.entries(tokens).map(([name, value]) => [`--${name}`, value]));
      addBase({ ':root': variables(day), '.dark': variables(night) });
    },
  ],
};
