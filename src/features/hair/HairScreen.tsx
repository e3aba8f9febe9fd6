import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { Fragment } from 'react';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { formatDay, lengthText } from '@/core/base/measures';
import type { HairState, NextReading } from '@/core/hair/state';
import type { Head } from '@/core/records/shapes';
import { SIGNAL_IDS } from '@/core/records/shapes';
import { Body, Button, Heading, Screen, Small } from '@/ui';
import { ComplaintLine } from '../shared/ComplaintLine';
import { placeLabels } from '../shared/headWords';
import { ReadingsDue } from '../shared/ReadingsDue';
import { Referral } from '../shared/Referral';
import { useHistory } from '../shared/useHistory';
import { useToday } from '../shared/useToday';
import { WithState } from '../shared/WithHead';
import { ForecastsHeld } from './ForecastsHeld';
import { HairTabs } from './HairTabs';
import { lengthKept } from './lengthKept';
import { NeedBars } from './NeedBars';
import { ShedHistory } from './ShedHistory';
import { SignalHistory } from './SignalHistory';

export function HairScreen() {
  return <WithState>{(head, state) => <StrandView head={head} state={state} />}</WithState>;
}

const testWords = perLanguage((): Record<NextReading['test'], string> => ({
  stretch: t`a stretch test of five strands`,
  feel: t`a stroke over the hair`,
  signs: t`a look at slip, tangles and shine`,
  tally: t`a count while detangling`,
  porosity: t`a porosity test`,
}));

function StrandView({ head, state }: { head: Head; state: HairState }) {
  const history = useHistory(head.headId);
  const today = useToday();
  return (
    <Screen
      before={<HairTabs here="/hair" />}
      ofPerson
      headline={state.need.headline}
      reason={state.need.complaint?.reason ?? state.need.reasons.at(-1)}
      side={<Why head={head} state={state} />}
    >
      {state.need.referral ? <Referral>{state.need.referral}</Referral> : null}
      <View className="gap-5 wide:gap-6">
        {SIGNAL_IDS.map((signal) => (
          <Fragment key={signal}>
            <SignalHistory state={state.signals[signal]} history={history} today={today} />
            {signal === SIGNAL_IDS[0] ? (
              <>
                <View className="flex-row flex-wrap gap-3">
                  <Button
                    tone="main"
                    label={t`Check your hair`}
                    onPress={() => router.push('/hair/measure')}
                    testID="take-reading"
                  />
                  <ComplaintLine head={head} />
                </View>
                <ReadingsDue headId={head.headId} />
              </>
            ) : null}
          </Fragment>
        ))}
        <ShedHistory history={history} today={today} />
        <ForecastsHeld forecasts={state.forecasts} />
      </View>
    </Screen>
  );
}

/** The probabilities behind the headline, what would settle it, and the length that was kept. */
function Why({ head, state }: { head: Head; state: HairState }) {
  const { readings } = useHistory(head.headId);
  const { errorFactor, halfLifeDays, halfLifeRange } = state.signals.firmness;
  const kept = lengthKept(readings);
  return (
    <View className="gap-3 pt-2">
      <Heading level={2}>{t`Why this?`}</Heading>
      <NeedBars need={state.need} />
      {state.need.reasons
        .slice(0, -1)
        .filter((reason) => reason !== state.need.complaint?.reason)
        .map((reason) => (
          <Body key={reason}>{reason}</Body>
        ))}
      <Body>{nextReadingWords(state.nextReadings[0])}</Body>
      <Body>{countWords(state.readingCount)}</Body>
      {state.readingCount > 0 ? (
        <Small>
          {t`What a treatment moves is half gone after about ${plural({ halfLifeDays: Math.round(halfLifeDays) }, { one: '# day', other: '# days' })} (${{ low: halfLifeRange.low }} to ${{ high: halfLifeRange.high }}). ${{ error: errorWords(errorFactor) }}`}
        </Small>
      ) : null}
      {kept.length > 0 ? <Heading level={2}>{t`Length kept`}</Heading> : null}
      {kept.map(({ place, first, last, gainedCm }) => (
        <Body key={place}>
          {t`${{ place: placeLabels()[place] }}: ${{ length: lengthText(last.cm) }}, ${{ sign: gainedCm >= 0 ? '+' : '−' }}${{ gained: lengthText(Math.abs(gainedCm)) }} since ${{ day: formatDay(first.day, 'd MMM yyyy') }}.`}
        </Body>
      ))}
    </View>
  );
}

const countWords = (count: number): string =>
  count === 0 ? t`No check yet.` : plural(count, { one: '# check so far.', other: '# checks so far.' });

/** Doubt, in bits, from which another reading is worth asking for. */
const IN_DOUBT = 0.3;

function nextReadingWords(next: NextReading | undefined): string {
  if (!next || next.ofBits < IN_DOUBT) return t`It's clear enough: no check would change the answer today.`;
  const share = Math.round((100 * next.bits) / next.ofBits);
  return t`What would settle it fastest: ${{ test: testWords()[next.test] }}. It would take away about ${share} % of the doubt.`;
}

/** Factors from which the scatter of her readings is worth a word. */
const SCATTER = { more: 1.3, less: 0.85 } as const;

function errorWords(factor: number): string {
  if (factor > SCATTER.more) return t`The checks scatter more than usual, so each counts less.`;
  return factor < SCATTER.less
    ? t`The checks scatter less than usual, so each counts more.`
    : t`The checks scatter about as much as usual.`;
}
