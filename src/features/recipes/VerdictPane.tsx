import { t, select } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { fixed, perLanguage } from '@/core/base/language';
import { rounded } from '@/core/base/measures';
import { ownVerdict, ownVerdictWords, type Response } from '@/core/hair/state';
import type { Judged } from '@/core/kitchen/formulation';
import {
  acidityWords,
  confidenceWord,
  doseOf,
  flipWords,
  kindWords,
  roleWords,
  TANNIN_FIRMING,
  verdictHeadline,
  verdictReasons,
  type VerdictDetails,
  type Warmth,
} from '@/core/recipe/classification';
import type { Caution } from '@/core/recipe/safety';
import type { Head } from '@/core/records/shapes';
import { Body, Button, Heading, Small, Strong } from '@/ui';
import { capital, grams } from '../shared/amounts';
import { minutesText } from '../shared/treatmentWords';
import { Ledger, Schools } from './Ledger';

interface VerdictPaneProps extends Pick<Judged, 'verdict' | 'details' | 'cautions'> {
  readonly head: Head | undefined;
  readonly contactMinutes: number;
  readonly warmth: Warmth;
  /** What the recipe did to the firmness of this head, where it was used. */
  readonly response?: Response | undefined;
  /** The headline, and what stops it, stand above it already. */
  readonly isNamed?: boolean;
}

/** The verdict in words, the ledger, the schools, what it is good as, what would flip it, the cautions. */
export function VerdictPane({
  verdict,
  details,
  cautions,
  response,
  isNamed = false,
  ...use
}: VerdictPaneProps) {
  const onHair = ownVerdict(verdict, response);
  const headline = verdictHeadline(verdict);
  const own = kindWords(verdict);
  return (
    <View className="gap-5" testID="verdict">
      <View className="gap-1">
        <Heading level={2} live>
          {isNamed ? t`What it rests on` : headline}
        </Heading>
        {headline === own ? null : (
          <Strong>{t`For you, by what you count: ${{ own: own.toLowerCase() }}.`}</Strong>
        )}
        {onHair && use.head ? <Strong>{ownVerdictWords(onHair, use.head.name)}</Strong> : null}
        {verdictReasons(verdict).map((reason) => (
          <Body key={reason} className="text-soft-ink">
            {reason}
          </Body>
        ))}
        <Small>
          {t`${{ confidence: capital(confidenceWord(verdict.confidence)) }} (${{ confidencePercent: Math.round(100 * verdict.confidence) }} %) · strength ${{ strength: verdict.strength }} of 5 · ${{ measuredGrams: grams(verdict.grams) }} measured out, ${{ finishedGrams: grams(verdict.finishedGrams) }} to put on`}
        </Small>
        {verdict.doubts.map((doubt) => (
          <Small key={doubt}>{doubt}</Small>
        ))}
      </View>
      {isNamed ? null : <Cautions cautions={cautions} level="stop" />}
      <Ledger verdict={verdict} />
      <Schools verdict={verdict} />
      <Flips flips={details.flips} />
      <Roles roles={details.roles} />
      <Arithmetic verdict={verdict} details={details} {...use} />
      <Cautions cautions={cautions} level="care" />
    </View>
  );
}

export function Cautions({ cautions, level }: { cautions: readonly Caution[]; level: Caution['level'] }) {
  const shown = cautions.filter((caution) => caution.level === level);
  if (shown.length === 0) return null;
  return (
    <View className="gap-2" role={level === 'stop' ? 'alert' : undefined}>
      {level === 'care' ? <Heading level={3}>{t`Take care`}</Heading> : null}
      {shown.map((caution) => (
        <View
          key={caution.id}
          className={level === 'stop' ? 'rounded-2xl border-2 border-danger p-3' : undefined}
        >
          <Strong>{caution.text}</Strong>
          {level === 'stop' ? <Body>{caution.act}</Body> : <Small>{caution.act}</Small>}
        </View>
      ))}
    </View>
  );
}

function Flips({ flips }: { flips: VerdictDetails['flips'] }) {
  if (flips.length === 0) return null;
  return (
    <View className="gap-1">
      <Heading level={3}>{t`What would turn it`}</Heading>
      {flips.map((flip) => (
        <Body key={`${flip.line}-${flip.to}`}>{flipWords(flip)}</Body>
      ))}
    </View>
  );
}

const fitWords = perLanguage(
  () =>
    ({
      good: t({ message: 'good', context: 'what a recipe is good as' }),
      possible: t({ message: 'can be', context: 'what a recipe is good as' }),
      no: t({ message: 'not', context: 'what a recipe is good as' }),
    }) as const,
);

function Roles({ roles }: { roles: VerdictDetails['roles'] }) {
  return (
    <View className="gap-1">
      <Heading level={3}>{t`Good as`}</Heading>
      <View className="gap-1" role="list" aria-label={t`What it is good as`}>
        {[...roles]
          .sort((a, b) => ORDER[a.fits] - ORDER[b.fits])
          .map(({ role, fits, why }) => (
            <View key={role} role="listitem" className="flex-row gap-3">
              <View className="w-field-m">
                <Body className={fits === 'good' ? 'font-strong' : fits === 'no' ? 'text-soft-ink' : ''}>
                  {fits === 'no' ? `${fitWords().no} ` : ''}
                  {roleWords()[role]}
                </Body>
              </View>
              <Small className="flex-1">
                {fits === 'possible' ? `${capital(fitWords().possible)}. ` : ''}
                {why}
              </Small>
            </View>
          ))}
      </View>
    </View>
  );
}

const ORDER = { good: 0, possible: 1, no: 2 } as const;

/** The figures behind the verdict, per 100 g of finished mask: asked for, so shown. */
function Arithmetic({
  verdict,
  details,
  head,
  contactMinutes,
  warmth,
}: Pick<VerdictPaneProps, 'verdict' | 'details' | 'head' | 'contactMinutes' | 'warmth'>) {
  const [open, setOpen] = useState(false);
  const { loads, push } = verdict;
  const dose = doseOf(contactMinutes, warmth, head?.porosityGuess);
  const rows: readonly (readonly [string, string | null])[] = [
    [t`Acting protein`, t`${{ protein: fixed(loads.protein, 2) }} g`],
    [t`Tannin`, t`${{ tannin: fixed(loads.tannin, 2) }} g, counted ${{ factor: TANNIN_FIRMING }}`],
    [t`Sugars, humectants`, t`${{ humectant: fixed(loads.humectant, 1) }} g`],
    [t`Mucilage`, t`${{ mucilage: fixed(loads.mucilage, 2) }} g`],
    [t`Starch`, t`${{ starch: fixed(loads.starch, 1) }} g`],
    [t`Conditioner`, t`${{ cationic: fixed(loads.cationic, 2) }} g that clings`],
    [t`Oil that enters`, t`${{ penetratingOil: fixed(loads.penetratingOil, 1) }} g`],
    [t`Oil that seals`, t`${{ sealingOil: fixed(loads.sealingOil, 1) }} g`],
    [t`Acid`, acidityWords(details.acidity) ?? t`none to speak of`],
    [
      t`Essential oil`,
      loads.essentialOil > 0 ? t`${{ essentialOil: rounded(loads.essentialOil, 2) }} %` : null,
    ],
    [t`Dye`, loads.dye > 0.05 ? t`${{ dye: rounded(loads.dye, 2) }} %` : null],
    [t`Push toward firm`, t`${{ firm: Math.round(100 * push.firm) }} of 100`],
    [t`Pull toward soft`, t`${{ soft: Math.round(100 * push.soft) }} of 100`],
    [
      t`One use`,
      head
        ? t`${{ minutes: minutesText(contactMinutes) }} ${select(warmth, { warm: 'warm', other: 'at room warmth' })} on ${{ name: head.name }}’s hair: ${{ dose: rounded(dose, 2) }} of a dose`
        : t`${{ minutes: minutesText(contactMinutes) }} ${select(warmth, { warm: 'warm', other: 'at room warmth' })}: ${{ dose: rounded(dose, 2) }} of a dose`,
    ],
  ];
  return (
    <View className="gap-1">
      <View className="items-start">
        <Button
          tone="quiet"
          label={open ? t`Hide the figures` : t`Why? Show the figures`}
          expanded={open}
          onPress={() => setOpen(!open)}
          testID="figures"
        />
      </View>
      {open ? (
        <View className="gap-1" role="table" aria-label={t`Figures per 100 g of finished mask`}>
          <Small>{t`Per 100 g of finished mask`}</Small>
          {rows.map(([name, value]) =>
            value === null ? null : (
              <View key={name} role="row" className="flex-row gap-3">
                <View role="cell" className="w-field-m">
                  <Small>{name}</Small>
                </View>
                <View role="cell" className="flex-1">
                  <Small className="text-ink">{value}</Small>
                </View>
              </View>
            ),
          )}
        </View>
      ) : null}
    </View>
  );
}
