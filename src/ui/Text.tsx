import { Children, type ReactNode, type Ref } from 'react';
import { Text as NativeText } from 'react-native';

interface TextProps {
  readonly children: ReactNode;
  readonly className?: string;
  /** Read out by a screen reader when it changes. */
  readonly live?: boolean;
  readonly nativeID?: string;
  /** Cut at the end of its line. */
  readonly isOneLine?: boolean;
}

/** A number and its unit stay on one line. */
const BEFORE_UNIT = /(\d) (?=%|(?:min|mm|cm|ml|g|s)\b)/g;

function typeset(children: ReactNode): ReactNode {
  return Children.map(children, (child) =>
    typeof child === 'string' ? child.replace(BEFORE_UNIT, '$1\u00a0') : child,
  );
}

function styled(base: string) {
  return function StyledText({ children, className = '', live = false, nativeID, isOneLine }: TextProps) {
    return (
      <NativeText
        numberOfLines={isOneLine ? 1 : undefined}
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
/** Of the size of a heading, inside one. */
export const Title = styled('font-head text-title text-ink');
export const Small = styled('font-text text-small text-soft-ink');
export const Problem = styled('font-strong text-small text-danger');

interface HeadingProps extends TextProps {
  readonly level: 1 | 2 | 3;
  /** Of a long list: no larger than its lines. */
  readonly isQuiet?: boolean;
  readonly nativeRef?: Ref<NativeText>;
}

const SIZE = { 1: 'text-headline', 2: 'text-title', 3: 'text-lead' } as const;

export function Heading({
  level,
  isQuiet = false,
  children,
  className = '',
  live = false,
  nativeRef,
}: HeadingProps) {
  return (
    <NativeText
      ref={nativeRef}
      role="heading"
      aria-level={level}
      aria-live={live ? 'polite' : undefined}
      className={`font-head text-ink ${level === 1 ? 'outline-none forced-colors:outline-0' : ''} ${SIZE[isQuiet ? 3 : level]} ${className}`}
    >
      {typeset(children)}
    </NativeText>
  );
}
