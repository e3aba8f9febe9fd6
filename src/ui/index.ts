export { Button } from './Button';
export { Choice } from './Choice';
export { Field, FieldGroup } from './Field';
export { Screen } from './Screen';
export { Body, Heading, Lead, Problem, Small, Strong } from './Text';
export { useTheme, useTokens } from './theme';
export { useCramped, useWide } from './useWide';
export { useWidth } from './useWidth';
export type { MarkKind } from './charts/Mark';
