import { Children, type ReactNode } from 'react';
import { Text as NativeText } from 'react-native';

interface TextProps {
  readonly children: ReactNode;
  readonly className?: string;
  /** Read out by a screen reader when it changes. */
  readonly live?: boolean;
  readonly nativeID?: string;
}

/** A number and its unit stay on one line. */
const BEFORE_UNIT = /(\d) (?=%|(?:min|mm|cm|ml|g|s)\b)/g;

function typeset(children: ReactNode): ReactNode {
  return Children.map(children, (child) =>
    typeof child === 'string' ? child.replace(BEFORE_UNIT, '$1\u00a0') : child,
  );
}

function styled(base: string) {
  return function StyledText({ children, className = '', live = false, nativeID }: TextProps) {
    return (
      <NativeText
        className={`${base} ${className}`}
        nativeID={nativeID}
        aria-live={live ? 'polite' : undefined}
      >
        {typeset(children)}
      </NativeText>
    );
  };
}

export const Body = styled('font-text text-body text-ink');
export const Strong = styled('font-strong text-body text-ink');
export const Lead = styled('font-text text-lead text-soft-ink');
export const Small = styled('font-text text-small text-soft-ink');
export const Problem = styled('font-strong text-small text-danger');

interface HeadingProps extends TextProps {
  readonly level: 1 | 2 | 3;
}

const SIZE = { 1: 'text-headline', 2: 'text-title', 3: 'text-lead' } as const;

export function Heading({ level, children, className = '', live = false }: HeadingProps) {
  return (
    <NativeText
      role="heading"
      aria-level={level}
      aria-live={live ? 'polite' : undefined}
      className={`font-head text-ink ${SIZE[level]} ${className}`}
    >
      {typeset(children)}
    </NativeText>
  );
}
