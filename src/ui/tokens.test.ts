import tokens from './tokens.json';

/** Relative luminance and contrast as WCAG 2.2 defines them. */
function luminance(hex: string): number {
  const [red, green, blue] = [1, 3, 5].map((at) => {
    const value = parseInt(hex.slice(at, at + 2), 16) / 255;
    return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * red! + 0.7152 * green! + 0.0722 * blue!;
}

function contrast(a: string, b: string): number {
  const [dark, light] = [luminance(a), luminance(b)].sort((x, y) => x - y);
  return (light! + 0.05) / (dark! + 0.05);
}

describe.each(Object.entries(tokens))('the %s theme', (_, theme) => {
  it.each(['ink', 'soft-ink', 'link', 'danger'] as const)('can be read: %s on every ground', (text) => {
    for (const ground of ['paper', 'raised', 'sunken'] as const) {
      expect({ ground, readable: contrast(theme[text], theme[ground]) >= 4.5 }).toEqual({
        ground,
        readable: true,
      });
    }
  });

  it('shows lines and marks: ink on the comfort zone, the rule on paper, the button on paper', () => {
    expect(contrast(theme.ink, theme.zone)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(theme.ink, theme.band)).toBeGreaterThanOrEqual(3);
    expect(contrast(theme.ink, theme.saffron)).toBeGreaterThanOrEqual(1.5);
  });

  it('shows where fields and buttons end, on every ground (WCAG 1.4.11)', () => {
    for (const ground of ['paper', 'raised', 'sunken'] as const)
      expect({ ground, seen: contrast(theme.edge, theme[ground]) >= 3 }).toEqual({ ground, seen: true });
  });

  it('has the same names as the other', () => {
    expect(Object.keys(theme)).toEqual(Object.keys(tokens.light));
  });
});
