const { light } = require('./src/ui/tokens.json');

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
      },
      minHeight: { target: '44px' },
      minWidth: { target: '44px' },
    },
  },
  plugins: [
    ({ addBase }) => {
      const { light: day, dark: night } = require('./src/ui/tokens.json');
      const variables = (tokens) =>
        Object.fromEntries(Object.entries(tokens).map(([name, value]) => [`--${name}`, value]));
      addBase({ ':root': variables(day), '.dark': variables(night) });
    },
  ],
};
