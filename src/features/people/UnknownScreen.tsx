import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { Body, Heading, Screen } from '@/ui';
import { PeopleTabs } from '../shared/PeopleTabs';

const unknowns = perLanguage((): readonly { readonly title: string; readonly text: string }[] => [
  {
    title: t`How much protein gets into hair`,
    text: t`The figures are assumed. Each verdict is tried in twelve other ways, and says how many agree.`,
  },
  {
    title: t`Whether food protein counts`,
    text: t`Makers disagree about egg and yoghurt. You choose, or your own hair decides.`,
  },
  {
    title: t`How long a treatment lasts on you`,
    text: t`At first we suppose three to thirty days. Your checks narrow it down.`,
  },
  {
    title: t`What’s in a jar`,
    text: t`Labels give an order, no amounts. A share may be two and a half times off.`,
  },
  {
    title: t`What your spoon holds`,
    text: t`We take 15 ml. Tell us what yours holds, or weigh.`,
  },
  {
    title: t`How firm a strand is that snaps`,
    text: t`It only says “at least this firm”. Five strands stand for all of the hair.`,
  },
  {
    title: t`Why breakage goes up and down`,
    text: t`It wanders from week to week. Small changes can’t be told from chance.`,
  },
  {
    title: t`The exact pH`,
    text: t`Give or take 0.6. Conditioner and tap water hold it back more than we know.`,
  },
  {
    title: t`What you don’t log`,
    text: t`Weather, water, food and sleep move hair too. We only know what you log.`,
  },
  {
    title: t`Whether real hair does what made-up hair does`,
    text: t`The plan was tried on made-up people only. There it left about a quarter fewer days outside the comfort zone than the best habit.`,
  },
  {
    title: t`Whether anything makes it grow faster`,
    text: t`Nothing here says so, and we don’t promise it.`,
  },
]);

/** What the figures rest on that nobody has measured. */
export function UnknownScreen() {
  return (
    <Screen
      before={<PeopleTabs here="/people/settings" />}
      headline={t`What we don’t know`}
      reason={t`What the answers rest on that nobody has measured on your hair.`}
    >
      {unknowns().map(({ title, text }) => (
        <View key={title} className="gap-1">
          <Heading level={2}>{title}</Heading>
          <Body>{text}</Body>
        </View>
      ))}
    </Screen>
  );
}
