import { Link, type Href } from 'expo-router';
import { Pressable, Text, View } from 'react-native';

interface PlaceTabsProps {
  readonly label: string;
  readonly tabs: readonly { readonly href: Href & string; readonly label: string }[];
  readonly here: string;
}

/** The rooms of one place. */
export function PlaceTabs({ label: place, tabs, here }: PlaceTabsProps) {
  return (
    <View role="navigation" aria-label={place} className="flex-row flex-wrap gap-x-5 border-b border-line">
      {tabs.map(({ href, label }) => (
        <Link key={href} href={href} asChild>
          <Pressable
            role="link"
            aria-current={href === here ? 'page' : undefined}
            className={`min-h-target justify-center border-b-4 ${href === here ? 'border-rule' : 'border-transparent'}`}
          >
            <Text className={`text-body text-ink ${href === here ? 'font-strong' : 'font-text'}`}>
              {label}
            </Text>
          </Pressable>
        </Link>
      ))}
    </View>
  );
}
