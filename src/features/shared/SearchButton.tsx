import { t } from '@lingui/core/macro';
import Search from 'lucide-react-native/icons/search';
import { ButtonBox, useTokens } from '@/ui';

/** Opens the field that a list is searched with: on a phone it would stand above all of the list. */
export function SearchButton({ isOpen, onPress }: { isOpen: boolean; onPress: () => void }) {
  const tokens = useTokens();
  return (
    <ButtonBox
      label={t`Search`}
      expanded={isOpen}
      onPress={onPress}
      testID="search"
      className="min-w-target items-center justify-center rounded-2xl border-2 border-edge bg-raised"
    >
      <Search size={20} color={tokens.ink} aria-hidden />
    </ButtonBox>
  );
}
