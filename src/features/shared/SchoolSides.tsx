import { t } from '@lingui/core/macro';
import { Small } from '@/ui';

interface SchoolSidesProps<Value extends string> {
  readonly sides: readonly { readonly value: Value; readonly label: string; readonly meaning: string }[];
  readonly inForce: Value;
}

/** Both sides of a question in a sentence each, and which one is in force. */
export function SchoolSides<Value extends string>({ sides, inForce }: SchoolSidesProps<Value>) {
  return sides.map(({ value, label, meaning }) => {
    const isInForce = value === inForce;
    return (
      <Small key={value} className={isInForce ? 'font-strong text-ink' : undefined}>
        {isInForce ? t`Yours: ` : t`Or: `}
        {label}. {meaning}
      </Small>
    );
  });
}
