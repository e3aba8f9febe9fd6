import { plural, t } from '@lingui/core/macro';
import { impactAsync, ImpactFeedbackStyle } from 'expo-haptics';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { sectionsOf, type Tap } from '@/core/hair/checks';
import {
  READING_LIMITS,
  tallyTotals,
  type Head,
  type Measured,
  type ShedBall,
  type Tally,
} from '@/core/records/shapes';
import { selectUnderway, tapped, underwayEnded, untapped, useAppDispatch, useAppSelector } from '@/store';
import { Body, Button, ButtonBox, Chip, FieldGroup, Small, Strong } from '@/ui';
import { BallChoice } from '../shared/BallChoice';
import { daysSinceDetangle } from '../shared/daysSinceDetangle';
import { useHistory } from '../shared/useHistory';
import { useToday } from '../shared/useToday';
import { FlowScreen, withHead } from './FlowScreen';
import { HairPhoto, type PhotoCount } from './HairPhoto';

/** Two pads for wet hands: every tap is a hair, and every tap is kept at once. */
export const TallyScreen = withHead(function TallyFlow({ head }: { head: Head }) {
  const dispatch = useAppDispatch();
  const today = useToday();
  const history = useHistory(head.headId);
  const { taps } = useAppSelector(selectUnderway(head.headId));
  const known = daysSinceDetangle(history, today);
  const [days, setDays] = useState(known ?? 1);
  const [none, setNone] = useState(false);
  const [ball, setBall] = useState<ShedBall | null>(null);
  const [isBall, setIsBall] = useState(false);
  const [photo, setPhoto] = useState<PhotoCount | null>(null);
  const sections = sectionsOf(taps);
  const totals = tallyTotals({ sections });
  const tap = (what: Tap) => {
    if (taps.length >= READING_LIMITS.pieces) return;
    // Where nothing can vibrate, nothing does.
    impactAsync(what === 'section' ? ImpactFeedbackStyle.Heavy : ImpactFeedbackStyle.Light).catch(
      () => undefined,
    );
    dispatch(tapped({ headId: head.headId, tap: what }));
  };
  const last = taps.at(-1);
  return (
    <FlowScreen
      head={head}
      flow="tally"
      headline={t`Tap for each hair`}
      reason={t`From the ends upward. It keeps count through a locked screen.`}
      measured={measuredOf(
        tallyOf(sections, { isTapped: taps.length > 0, isNone: none, photo, days }),
        ball,
        days,
      )}
      saveLabel={t`Detangled: save the count`}
      onSaved={() => dispatch(underwayEnded({ headId: head.headId, part: 'taps' }))}
    >
      <View className="flex-row gap-3">
        <Pad
          label={t`broken`}
          under={t`short, no bulb`}
          count={totals.broken}
          onPress={() => tap('broken')}
          firm
        />
        <Pad label={t`shed`} under={t`long, with a bulb`} count={totals.shed} onPress={() => tap('shed')} />
      </View>
      <View className="flex-row flex-wrap items-center gap-3">
        <Button
          label={last === undefined ? t`Undo` : last === 'section' ? t`Undo: section` : t`Undo: ${last}`}
          hint={t`Undo the last tap`}
          disabled={last === undefined}
          onPress={() => dispatch(untapped({ headId: head.headId }))}
          testID="untap"
        />
        <Button
          label={t`Next section`}
          disabled={sections.length >= READING_LIMITS.sections}
          onPress={() => tap('section')}
          testID="next-section"
        />
        {sections.length > 1 ? (
          <Small live className="text-ink">
            {t`Section ${{ count: sections.length }}: `}
            {sections.at(-1)?.broken}
            {t` broken, `}
            {sections.at(-1)?.shed}
            {t` shed`}
          </Small>
        ) : null}
      </View>
      <View className="items-start">
        <Button
          tone="quiet"
          label={isBall ? t`Hide the sizes` : t`Not counted? The size of the ball`}
          expanded={isBall}
          onPress={() => setIsBall(!isBall)}
          testID="show-balls"
        />
      </View>
      <PhotoPart
        photo={photo}
        onTaken={(count) => {
          setPhoto(count);
          if (count.ball === null) return;
          setBall(count.ball);
          setIsBall(true);
        }}
      />
      {isBall ? (
        <FieldGroup label={t`Shed hair, rolled into a ball`}>
          <BallChoice value={ball} onChange={setBall} />
        </FieldGroup>
      ) : null}
      <FieldGroup
        label={t`Days since the last detangle`}
        help={
          known === null
            ? t`Nothing is on record: set it yourself.`
            : known === 1
              ? t`Yesterday, by the log.`
              : t`${plural(known, { one: '# day', other: '# days' })} ago, by the log.`
        }
      >
        <View className="flex-row items-center gap-3">
          <Button label="−" hint={t`One day less`} disabled={days <= 1} onPress={() => setDays(days - 1)} />
          <Strong className="text-title">{days}</Strong>
          <Button
            label="+"
            hint={t`One day more`}
            disabled={days >= READING_LIMITS.days}
            onPress={() => setDays(days + 1)}
          />
        </View>
      </FieldGroup>
      {history.readings.some(({ tally, day }) => tally !== null && day === today) ? (
        <Body>{t`Today’s hair was counted once already: count only what comes out now, for one day.`}</Body>
      ) : null}
      {taps.length === 0 ? (
        <View className="items-start">
          <Chip
            label={t`Nothing came out at all`}
            pressed={none}
            onPress={() => setNone(!none)}
            testID="nothing-came-out"
          />
        </View>
      ) : (
        <View className="items-start">
          <Button
            tone="quiet"
            label={t`Throw this count away`}
            onPress={() => dispatch(underwayEnded({ headId: head.headId, part: 'taps' }))}
          />
        </View>
      )}
    </FlowScreen>
  );
});

interface PhotoPartProps {
  readonly photo: PhotoCount | null;
  readonly onTaken: (count: PhotoCount) => void;
}

/** Counting by a picture, behind a button. */
function PhotoPart({ photo, onTaken }: PhotoPartProps) {
  const [isOpen, setIsOpen] = useState(false);
  return (
    <>
      <View className="items-start">
        <Button
          tone="quiet"
          label={isOpen ? t`Hide the photo` : t`Count them from a photo`}
          expanded={isOpen}
          onPress={() => setIsOpen(!isOpen)}
          testID="show-photo"
        />
      </View>
      {photo && photo.broken + photo.shed > 0 ? (
        <Small live className="text-ink">
          {photo.ball === null
            ? t`${{ broken: photo.broken }} broken and ${{ shed: photo.shed }} shed from the photo, beside what you tap.`
            : t`${{ broken: photo.broken }} broken from the photo, beside what you tap; shed hair by its ball.`}
        </Small>
      ) : null}
      {isOpen ? (
        <HairPhoto
          onTaken={(count) => {
            onTaken(count);
            setIsOpen(false);
          }}
        />
      ) : null}
    </>
  );
}

/** What was tapped, with what a photo gave as a section of its own. */
function tallyOf(
  sections: Tally['sections'],
  counted: {
    readonly isTapped: boolean;
    readonly isNone: boolean;
    readonly photo: PhotoCount | null;
    readonly days: number;
  },
): Tally | null {
  const { isTapped, isNone, photo, days } = counted;
  if (!photo || photo.broken + photo.shed === 0) return isTapped || isNone ? { sections, days } : null;
  const { broken, shed, doubt } = photo;
  return { sections: [{ broken, shed }, ...(isTapped ? sections : [])], days, doubt };
}

/** A count, the size of a ball, or both. */
function measuredOf(tally: Tally | null, ball: ShedBall | null, days: number): Partial<Measured> | null {
  if (tally === null && ball === null) return null;
  return { tally, ...(ball === null ? {} : { shedBall: { size: ball, days } }) };
}

interface PadProps {
  readonly label: string;
  readonly under: string;
  readonly count: number;
  readonly onPress: () => void;
  readonly firm?: boolean;
}

function Pad({ label, under, count, onPress, firm = false }: PadProps) {
  return (
    <ButtonBox
      onPress={onPress}
      testID={`pad-${label}`}
      tall="pad"
      className={`flex-1 items-center justify-center gap-1 rounded-3xl border-4 border-ink ${firm ? 'bg-zone' : 'bg-raised'}`}
    >
      <Text className="font-head text-count text-ink">{count}</Text>
      <Text className="font-strong text-title text-ink">{label}</Text>
      <Text className="font-text text-small text-soft-ink">{under}</Text>
    </ButtonBox>
  );
}
