import { Link, type Href } from 'expo-router';
import type { ReactNode } from 'react';
import { Pressable } from 'react-native';

interface LinkBoxProps {
  readonly href: Href;
  /** The place where one is. */
  readonly isHere?: boolean;
  /** How tall at least: a target for a finger, or a row of a list. */
  readonly tall?: 'target' | 'row';
  readonly className?: string;
  readonly children: ReactNode;
}

/** What leads to another screen and is no line of text. */
export function LinkBox({ href, isHere = false, tall = 'target', className = '', children }: LinkBoxProps) {
  return (
    <Link href={href} asChild>
      <Pressable
        role="link"
        aria-current={isHere ? 'page' : undefined}
        className={`${tall === 'row' ? 'min-h-row' : 'min-h-target'} justify-center ${className}`}
      >
        {children}
      </Pressable>
    </Link>
  );
}

/** A line of a list that leads to its own screen. */
export function LinkRow({ href, children }: Pick<LinkBoxProps, 'href' | 'children'>) {
  return (
    <LinkBox href={href} tall="row" className="border-t border-line py-3">
      {children}
    </LinkBox>
  );
}
