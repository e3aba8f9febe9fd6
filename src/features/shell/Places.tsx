import { t } from '@lingui/core/macro';
import { Link, usePathname } from 'expo-router';
import { Pressable, Text, View } from 'react-native';
import { useTokens, useWide } from '@/ui';
import { isAt, places } from './places';

/** The bar under the thumb on a phone, the rail at the left on a wide screen. */
export function Places() {
  const pathname = usePathname();
  const tokens = useTokens();
  const wide = useWide();
  return (
    <View
      role="navigation"
      aria-label={t`Places`}
      className={
        wide
          ? 'w-[104px] gap-2 border-r border-line bg-sunken py-8'
          : 'flex-row border-t border-line bg-sunken pb-1 pt-1'
      }
    >
      {places().map(({ href, label, icon: Icon }) => {
        const here = isAt(pathname, href);
        return (
          <Link key={href} href={href} asChild>
            <Pressable
              role="link"
              aria-current={here ? 'page' : undefined}
              className={`min-h-target items-center justify-center gap-1 rounded-xl py-2 ${wide ? 'mx-2' : 'flex-1'} ${here ? 'bg-lane' : ''}`}
            >
              <Icon size={22} strokeWidth={here ? 2.6 : 1.8} color={tokens.ink} aria-hidden />
              <Text className={`text-small text-ink ${here ? 'font-strong' : 'font-text'}`}>{label}</Text>
            </Pressable>
          </Link>
        );
      })}
    </View>
  );
}
