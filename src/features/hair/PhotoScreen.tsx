import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useEffect, useState } from 'react';
import { Image, View } from 'react-native';
import { formatDay, rounded } from '@/core/base/measures';
import {
  PHOTO_LIMITS,
  photoBytes,
  photoSchema,
  photosOf,
  REGIONS,
  type Head,
  type Photo,
} from '@/core/records/shapes';
import { ofKind } from '@/core/records/shapes';
import { selectLiveRecords, useAppSelector } from '@/store';
import { Body, Button, Choice, Heading, Problem, Screen, Small, useWide } from '@/ui';
import { placeLabels } from '../shared/headWords';
import { momentNow } from '../shared/momentNow';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useHistory } from '../shared/useHistory';
import { useTakeBack } from '../shared/useTakeBack';
import { useToday } from '../shared/useToday';
import { withHead } from './FlowScreen';
import type { Frame } from './frameOf';
import { HowToFold, HowToSide } from './howto/HowToPane';
import { LineUp } from './LineUp';
import { MonthStreak, ThenNow } from './ThenNow';

const MEGABYTE = 1_000_000;

/** Pairs of pictures: the same place, then and now. */
export const PhotoScreen = withHead(function Photos({ head }: { head: Head }) {
  const today = useToday();
  const history = useHistory(head.headId);
  const wide = useWide();
  const add = useAddRecords();
  const photos = ofKind(useAppSelector(selectLiveRecords), 'photo').filter(
    ({ headId }) => headId === head.headId,
  );
  const [place, setPlace] = useState<Photo['place']>('crown');
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const here = photosOf(photos, place);
  const isFull = photos.length >= PHOTO_LIMITS.pictures;

  const take = async (taken?: Frame) => {
    setBusy(true);
    setProblem(null);
    // Choosing and shrinking pictures is code that few visits need.
    const { smallPicture } = await import('./smallPicture');
    const picture = await smallPicture(taken);
    if (taken) URL.revokeObjectURL(taken.uri);
    setBusy(false);
    if (!picture) return;
    if (!picture.ok) return setProblem(picture.problems[0].message);
    const moment = momentNow(history, today);
    const photo = photoSchema.safeParse({
      ...newStamp(),
      ...picture.value,
      kind: 'photo',
      headId: head.headId,
      day: today,
      moment,
      place,
    });
    if (photo.success) add([photo.data], t`The picture of ${{ headName: head.name }} is kept.`);
    else setProblem(photo.error.issues[0]?.message ?? t`This picture cannot be kept.`);
  };
  const [first, last] = [here[0], here.at(-1)];
  return (
    <Screen
      ofPerson
      headline={t`Then and now`}
      reason={t`A picture of the same place, in the same light, once a month or around a trial.`}
      side={wide ? <HowToSide flow="photo" /> : undefined}
    >
      <HowToFold flow="photo" firstTime={photos.length === 0} />
      <Choice
        label={t`Place`}
        options={REGIONS.map((value) => ({ value, label: placeLabels()[value].toLowerCase() }))}
        value={place}
        onChange={setPlace}
      />
      <View className="flex-row flex-wrap items-center gap-3">
        <Button
          tone="main"
          label={busy ? t`One moment` : t`Take or choose a picture`}
          disabled={busy || isFull}
          onPress={() => void take()}
          testID="take-photo"
        />
        <Button label={t`Back`} onPress={() => router.navigate('/hair/measure')} />
      </View>
      {last && !isFull && !busy ? (
        <LineUp key={place} before={last} onTaken={(frame) => void take(frame)} />
      ) : null}
      {isFull ? (
        <Problem>
          {t`${{ pictures: PHOTO_LIMITS.pictures }} pictures are kept, and no more fit: take an older one back first.`}
        </Problem>
      ) : null}
      {problem ? <Problem live>{problem}</Problem> : null}
      {first ? (
        <>
          <Heading level={2}>{placeLabels()[place]}</Heading>
          <View className="flex-row gap-3">
            <Picture photo={first} head={head} />
            {last && last !== first ? <Picture photo={last} head={head} /> : null}
          </View>
          {last && last !== first ? (
            <ThenNow then={first} now={last} what={`${head.name}, ${placeLabels()[place].toLowerCase()}`} />
          ) : null}
          <MonthStreak photos={here} today={today} />
          {here.length > 2 ? <Small>{t`${{ count: here.length - 2 }} more between them.`}</Small> : null}
        </>
      ) : (
        <Body>{t`No picture of this place yet.`}</Body>
      )}
      <StoreShare photos={photos} />
    </Screen>
  );
});

function Picture({ photo, head }: { photo: Photo; head: Head }) {
  const takeBack = useTakeBack();
  const when = formatDay(photo.day, 'd MMM yyyy');
  return (
    <View className="min-w-0 max-w-note flex-1 gap-1">
      <Image
        source={{ uri: `data:image/jpeg;base64,${photo.jpeg}` }}
        accessibilityLabel={`${head.name}, ${placeLabels()[photo.place].toLowerCase()}, ${when}`}
        resizeMode="contain"
        style={{ width: '100%', aspectRatio: photo.widthPx / photo.heightPx }}
      />
      <Small className="text-ink">{when}</Small>
      <View className="items-start">
        <Button
          tone="quiet"
          label={t`Remove`}
          hint={t`Remove the picture of ${when}`}
          onPress={() =>
            takeBack(photo.id, t`The picture is removed; it is erased when the app starts again.`)
          }
        />
      </View>
    </View>
  );
}

/** What the pictures take of what this browser gives. */
function StoreShare({ photos }: { photos: readonly Photo[] }) {
  const [quota, setQuota] = useState<number | null>(null);
  useEffect(() => {
    void navigator.storage?.estimate?.().then((estimate) => setQuota(estimate.quota ?? null));
  }, []);
  const bytes = photoBytes(photos);
  const share = quota
    ? t` That is ${{ bytes: rounded((100 * bytes) / quota, 2) }} % of what this browser gives.`
    : '';
  return (
    <Small>
      {t`${{ count: photos.length }} of ${{ pictures: PHOTO_LIMITS.pictures }} pictures, ${{ bytes: rounded(bytes / MEGABYTE, 1) }} MB.${share}`}
    </Small>
  );
}
