import type { Href } from 'expo-router';
import { Text, View } from 'react-native';
import { LinkBox } from './LinkBox';

interface PlaceTabsProps {
  readonly label: string;
  readonly tabs: readonly { readonly href: Href & string; readonly label: string }[];
  readonly here: string;
}

/** The rooms of one place. */
export function PlaceTabs({ label: place, tabs, here }: PlaceTabsProps) {
  return (
    <View
      role="navigation"
      aria-label={place}
      className="-mb-px max-w-full shrink flex-row flex-wrap gap-x-3.5"
    >
      {tabs.map(({ href, label }) => {
        const isHere = href === here;
        return (
          <LinkBox
            key={href}
            href={href}
            isHere={isHere}
            className={`border-b-4 ${isHere ? 'border-rule' : 'border-transparent forced-colors:border-[Canvas]'}`}
          >
            <Text className={`text-body text-ink ${isHere ? 'font-strong' : 'font-text'}`}>{label}</Text>
          </LinkBox>
        );
      })}
    </View>
  );
}
