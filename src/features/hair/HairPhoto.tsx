import { plural, t } from '@lingui/core/macro';
import { useState } from 'react';
import { Image, View } from 'react-native';
import Svg, { Circle, Polyline } from 'react-native-svg';
import { lengthText } from '@/core/base/measures';
import { ballLike, ballWords } from '@/core/hair/checks';
import type { ShedBall } from '@/core/records/shapes';
import {
  countDoubt,
  countsOf,
  joined,
  keptFrom,
  split,
  struck,
  turned,
  type HairBall,
  type KeptHair,
} from '@/core/vision/hairs';
import { sheetTroubleWords } from '@/core/vision/words';
import { Body, Button, Chip, Heading, Small, Strong, useTokens, useWidth } from '@/ui';
import { askVision, type SeenSheet } from '@/workers';
import { PictureSeen } from '../shared/PictureSeen';
import { useSeen, type ChosenPicture } from '../shared/useSeen';

/** A count that a picture gave. */
export interface PhotoCount {
  readonly broken: number;
  readonly shed: number;
  readonly doubt: number;
  /** The largest ball beside them. */
  readonly ball: ShedBall | null;
}

/** Hairs on a sheet beside a bank card: found, measured, and put right by her. */
export function HairPhoto({ onTaken }: { onTaken: (count: PhotoCount) => void }) {
  const { seen, choose } = useSeen<SeenSheet>((file) => askVision('hairs', file));
  return (
    <View className="gap-3">
      <Small>{t`Lay the hairs apart on plain paper, a bank card flat beside them, and take it from straight above. A ball may lie there, too, with three single hairs.`}</Small>
      <PictureSeen
        {...{ seen, choose }}
        label={t`Take or choose a photo`}
        looking={t`Following each hair. Some seconds.`}
        testID="hair-photo"
      >
        {(picture, sheet) => <SeenHairs key={picture.uri} {...{ picture, sheet, onTaken }} />}
      </PictureSeen>
    </View>
  );
}

interface SeenHairsProps {
  readonly picture: ChosenPicture;
  readonly sheet: SeenSheet;
  readonly onTaken: (count: PhotoCount) => void;
}

function SeenHairs({ picture, sheet, onTaken }: SeenHairsProps) {
  const [hairs, setHairs] = useState<readonly KeptHair[]>(() => keptFrom(sheet.hairs));
  const [chosen, setChosen] = useState<string | null>(null);
  const [joining, setJoining] = useState(false);
  const { broken, shed } = countsOf(hairs);
  const choose = (id: string) => {
    if (joining && chosen !== null) setHairs(joined(hairs, chosen, id));
    setJoining(false);
    setChosen(id === chosen ? null : id);
  };
  const change = (changed: readonly KeptHair[]) => {
    setHairs(changed);
    setChosen(null);
  };
  const [ball] = [...sheet.balls].sort((a, b) => b.acrossMm - a.acrossMm);
  if (sheet.hairs.length === 0 && !ball)
    return (
      <>
        {sheet.troubles.map((trouble) => (
          <Strong key={trouble}>{sheetTroubleWords()[trouble]}</Strong>
        ))}
      </>
    );
  const hair = hairs.find(({ id }) => id === chosen);
  return (
    <View className="gap-3" testID="seen-hairs">
      <Heading level={2}>{t`${broken} broken, ${shed} shed`}</Heading>
      <Body>
        {sheet.troubles.length > 0
          ? sheet.troubles.map((trouble) => sheetTroubleWords()[trouble]).join(' ')
          : t`Most likely right to a tenth. Tap a hair to put it right.`}
      </Body>
      {sheet.balls.map((each) => (
        <BallSeen key={`${each.middle.x}/${each.middle.y}`} ball={each} shed={each === ball ? shed : 0} />
      ))}
      <Traced picture={picture} sheet={sheet} hairs={hairs} chosen={chosen} onChoose={choose} />
      {hair ? (
        <View className="gap-2" role="group" aria-label={t`Hair ${{ id: hair.id }}`}>
          <Strong>{hairWords(hair)}</Strong>
          <View className="flex-row flex-wrap gap-2">
            <Button
              label={hair.kind === 'broken' ? t`It was shed` : t`It's broken`}
              onPress={() => setHairs(turned(hairs, hair.id))}
            />
            <Button label={t`No hair: strike it`} onPress={() => change(struck(hairs, hair.id))} />
            <Button label={t`Two hairs`} onPress={() => change(split(hairs, hair.id))} />
            <Button
              label={joining ? t`Now tap its other piece` : t`Join with another`}
              onPress={() => setJoining(!joining)}
            />
          </View>
        </View>
      ) : null}
      <View className="flex-row flex-wrap gap-2" role="group" aria-label={t`All hairs`}>
        {hairs.map((each) => (
          <Chip
            key={each.id}
            label={hairWords(each)}
            pressed={each.id === chosen}
            onPress={() => choose(each.id)}
          />
        ))}
      </View>
      <View className="items-start">
        <Button
          tone="main"
          label={takeWords(hairs.length, ball !== undefined)}
          onPress={() =>
            onTaken({
              broken,
              // The size of a ball stands for all that was shed.
              shed: ball ? 0 : shed,
              doubt: countDoubt(sheet.sure),
              ball: ball ? ballLike(ball, shed) : null,
            })
          }
          testID="take-hairs"
        />
        <Small>{t`One that was missed is added by a tap on the pads.`}</Small>
      </View>
    </View>
  );
}

/** What the button takes: single hairs, a ball, or both. */
function takeWords(count: number, hasBall: boolean): string {
  if (count === 0) return t`Take the ball`;
  return hasBall
    ? t`Take ${plural({ count }, { one: '# hair', other: '# hairs' })} and the ball`
    : t`Take ${plural({ count }, { one: '# hair', other: '# hairs' })}`;
}

/** How large a ball is, and how many hairs about; `shed` lie beside it. */
function BallSeen({ ball, shed }: { ball: HairBall; shed: number }) {
  const across = Math.round(ball.acrossMm) / 10;
  const size = ballWords()[ballLike(ball, shed)];
  return (
    <View testID="seen-ball">
      <Strong>
        {ball.hairs
          ? t`A ball ${{ across: lengthText(across) }} across: ${{ low: ball.hairs.low }} to ${{ high: ball.hairs.high }} hairs`
          : t`A ball ${{ across: lengthText(across) }} across`}
      </Strong>
      <Small>
        {ball.hairs
          ? t`With the single ones, shed like ${size}. What broke inside it cannot be seen.`
          : t`Like ${size}. Lay three single hairs beside it, and their number can be told.`}
      </Small>
    </View>
  );
}

function hairWords({ id, lengthMm, kind }: KeptHair): string {
  const cm = Math.round(lengthMm) / 10;
  return kind === 'broken'
    ? t`${id}: ${{ length: lengthText(cm) }}, broken`
    : t`${id}: ${{ length: lengthText(cm) }}, shed`;
}

interface TracedProps {
  readonly picture: ChosenPicture;
  readonly sheet: SeenSheet;
  readonly hairs: readonly KeptHair[];
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
}

/** Every place of a line is too many to draw. */
const EVERY = 6;

function Traced({ picture, sheet, hairs, chosen, onChoose }: TracedProps) {
  const { width, onLayout } = useWidth();
  const tokens = useTokens();
  const scale = width / sheet.width;
  const height = sheet.height * scale;
  return (
    <View onLayout={onLayout} style={{ minHeight: height }}>
      <Image
        source={{ uri: picture.uri }}
        alt={t`The hairs as you took them; each that was found is listed below`}
        style={{ width: '100%', aspectRatio: sheet.width / sheet.height }}
      />
      {width > 0 ? (
        <View className="absolute inset-0">
          <Svg width={width} height={height}>
            {sheet.balls.map(({ middle, radius }) => (
              <Circle
                key={`${middle.x}/${middle.y}`}
                cx={middle.x * scale}
                cy={middle.y * scale}
                r={radius * scale + 4}
                fill="none"
                stroke={tokens.link}
                strokeWidth={2}
                strokeDasharray="5 4"
              />
            ))}
            {hairs.flatMap(({ id, lines, kind }) =>
              lines.map((line, index) => (
                <Polyline
                  key={`${id}/${index}`}
                  points={line
                    .filter((_, at) => at % EVERY === 0 || at === line.length - 1)
                    .map(({ x, y }) => `${x * scale},${y * scale}`)
                    .join(' ')}
                  fill="none"
                  stroke={kind === 'broken' ? tokens.accent : tokens.link}
                  strokeWidth={id === chosen ? 5 : 2}
                  onPress={() => onChoose(id)}
                />
              )),
            )}
          </Svg>
        </View>
      ) : null}
    </View>
  );
}
