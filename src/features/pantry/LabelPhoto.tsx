import { plural, t } from '@lingui/core/macro';
import { useState } from 'react';
import { Image, View } from 'react-native';
import type { FoundName, ReadLabel } from '@/core/vision/labels';
import type { Corners } from '@/core/vision/pictures';
import { labelTroubleWords } from '@/core/vision/words';
import { Button, Choice, Heading, Small, Strong } from '@/ui';
import { askVision } from '@/workers';
import { PictureSeen } from '../shared/PictureSeen';
import { useSeen, type ChosenPicture } from '../shared/useSeen';
import { CornersOver, WHOLE } from './CornersOver';

/** The ingredient list by a photo: names in their order, each taken, asked about or struck, the picture beside them. */
export function LabelPhoto({ onNames }: { onNames: (list: string) => void }) {
  const { seen, choose, lookAgain } = useSeen<ReadLabel>((file) => askVision('label', file, null));
  return (
    <View className="gap-3">
      <PictureSeen
        {...{ seen, choose }}
        label={t`Read it from a photo`}
        looking={t`Reading the letters. Some seconds.`}
        testID="label-photo"
      >
        {(picture, found) => (
          <SeenLabel
            key={picture.uri}
            {...{ picture, found, onNames }}
            onCorners={(corners) => void lookAgain((file) => askVision('label', file, corners))}
          />
        )}
      </PictureSeen>
    </View>
  );
}

interface SeenLabelProps {
  readonly picture: ChosenPicture;
  readonly found: ReadLabel;
  readonly onNames: (list: string) => void;
  readonly onCorners: (corners: Corners) => void;
}

function SeenLabel({ picture, found, onNames, onCorners }: SeenLabelProps) {
  const [corners, setCorners] = useState<Corners | null>(null);
  const [answers, setAnswers] = useState<Readonly<Record<number, 'yes' | 'no'>>>({});
  const isTaken = (name: FoundName, at: number) =>
    (answers[at] ?? (name.fate === 'accepted' ? 'yes' : 'no')) === 'yes';
  const taken = found.names.filter(isTaken);
  const open = found.names.filter(({ fate }, at) => fate !== 'accepted' && answers[at] === undefined).length;
  return (
    <View className="gap-3" testID="seen-label">
      {found.troubles.map((trouble) => (
        <Strong key={trouble}>{labelTroubleWords()[trouble]}</Strong>
      ))}
      {corners ? (
        <>
          <CornersOver picture={picture} corners={corners} onChange={setCorners} />
          <View className="flex-row flex-wrap gap-2">
            <Button tone="main" label={t`Read only this`} onPress={() => onCorners(corners)} />
            <Button label={t`All of it`} onPress={() => setCorners(null)} />
          </View>
        </>
      ) : (
        <>
          <Image
            source={{ uri: picture.uri }}
            alt={t`The label as you took it`}
            resizeMode="contain"
            style={{ width: '100%', aspectRatio: picture.width / picture.height }}
          />
          <View className="items-start">
            <Button label={t`Only some of it`} onPress={() => setCorners(WHOLE)} testID="label-corners" />
          </View>
        </>
      )}
      {found.names.length > 0 ? (
        <>
          <Heading level={2}>
            {plural({ count: found.names.length }, { one: '# name', other: '# names' })}
          </Heading>
          <View role="list" className="gap-2">
            {found.names.map((name, at) => (
              <View key={at} role="listitem" className="border-b border-line pb-2">
                <NameRow
                  name={name}
                  isTaken={isTaken(name, at)}
                  isAnswered={answers[at] !== undefined}
                  onAnswer={(answer) => setAnswers({ ...answers, [at]: answer })}
                />
              </View>
            ))}
          </View>
          <View className="items-start gap-1">
            <Button
              tone="main"
              label={t`Take ${plural({ count: taken.length }, { one: '# name', other: '# names' })}`}
              disabled={taken.length === 0}
              onPress={() => onNames(taken.map(({ name }) => name).join(', '))}
              testID="take-names"
            />
            {open > 0 ? (
              <Small>{t`${plural({ open }, { one: '# is', other: '# are' })} not answered; they stay out.`}</Small>
            ) : null}
          </View>
        </>
      ) : null}
    </View>
  );
}

interface NameRowProps {
  readonly name: FoundName;
  readonly isTaken: boolean;
  readonly isAnswered: boolean;
  readonly onAnswer: (answer: 'yes' | 'no') => void;
}

function NameRow({ name, isTaken, isAnswered, onAnswer }: NameRowProps) {
  const differs = name.read.toLowerCase() !== name.name.toLowerCase();
  if (name.fate === 'accepted')
    return (
      <View className="flex-row items-center justify-between gap-2">
        <Strong className={isTaken ? '' : 'line-through'}>{name.name}</Strong>
        <Button
          tone="quiet"
          label={isTaken ? t`Strike` : t`Keep`}
          hint={isTaken ? t`Strike ${{ name: name.name }}` : t`Keep ${{ name: name.name }}`}
          onPress={() => onAnswer(isTaken ? 'no' : 'yes')}
        />
      </View>
    );
  return (
    <View className="gap-1">
      <Strong>{name.name}</Strong>
      <Small>
        {name.isKnown && differs
          ? t`Read as “${{ read: name.read }}”: is it this?`
          : t`Not a name known here: does it stand so on the label?`}
      </Small>
      <Choice
        label={t`Is ${{ name: name.name }} right?`}
        options={[
          { value: 'yes', label: t`yes` },
          { value: 'no', label: t`no` },
        ]}
        value={isAnswered ? (isTaken ? 'yes' : 'no') : null}
        onChange={onAnswer}
      />
    </View>
  );
}
