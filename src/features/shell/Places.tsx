import { t } from '@lingui/core/macro';
import { usePathname } from 'expo-router';
import { Text, View } from 'react-native';
import { useTokens } from '@/ui';
import { LinkBox } from '../shared/LinkBox';
import { isAt, places } from './places';

/** The bar under the thumb on a phone, the rail at the left on a wide screen. */
export function Places() {
  const pathname = usePathname();
  const tokens = useTokens();
  return (
    <View
      role="navigation"
      aria-label={t`Places`}
      className="flex-row border-t border-line bg-sunken py-1 wide:w-rail wide:flex-col wide:gap-2 wide:border-r wide:border-t-0 wide:py-8"
    >
      {places().map(({ href, label, icon: Icon }) => {
        const here = isAt(pathname, href);
        return (
          <LinkBox
            key={href}
            href={href}
            isHere={here}
            className={`flex-1 items-center gap-1 rounded-xl py-2 wide:mx-2 wide:flex-none ${here ? 'bg-zone' : ''}`}
          >
            <Icon size={22} strokeWidth={here ? 2.6 : 1.8} color={tokens.ink} aria-hidden />
            <Text className={`text-small text-ink ${here ? 'font-strong' : 'font-text'}`}>{label}</Text>
          </LinkBox>
        );
      })}
    </View>
  );
}
