import { t } from '@lingui/core/macro';
import CircleDot from 'lucide-react-native/icons/circle-dot';
import Soup from 'lucide-react-native/icons/soup';
import Spline from 'lucide-react-native/icons/spline';
import Users from 'lucide-react-native/icons/users';
import Waves from 'lucide-react-native/icons/waves-vertical';
import { perLanguage } from '@/core/base/language';

/** The five places, in the order of the bar. */
export const places = perLanguage(
  () =>
    [
      { href: '/', label: t`Today`, icon: CircleDot },
      { href: '/week', label: t`Week`, icon: Spline },
      { href: '/recipes', label: t`Recipes`, icon: Soup },
      { href: '/hair', label: t`Hair`, icon: Waves },
      { href: '/people', label: t`People`, icon: Users },
    ] as const,
);

export function isAt(pathname: string, href: string): boolean {
  const rooms = href === '/recipes' ? ['/recipes', '/shelf', '/pantry'] : [href];
  return href === '/'
    ? pathname === '/'
    : rooms.some((room) => pathname === room || pathname.startsWith(`${room}/`));
}
