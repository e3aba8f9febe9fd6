import { Link } from 'expo-router';
import { Pressable, Text, View } from 'react-native';

const TABS = [
  { href: '/bench', label: 'Recipes' },
  { href: '/shelf', label: 'Shelf' },
  { href: '/pantry', label: 'Pantry' },
] as const;

/** The three rooms of the bench. */
export function BenchTabs({ here }: { here: (typeof TABS)[number]['href'] }) {
  return (
    <View role="navigation" aria-label="Bench" className="flex-row gap-5 border-b border-line">
      {TABS.map(({ href, label }) => (
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
