import { plural, t } from '@lingui/core/macro';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { POROSITY_TESTS, usualDryMinutes } from '@/core/hair/checks';
import { hairMassGrams } from '@/core/hair/state';
import { porositySchema, READING_LIMITS, type Head, type PorosityTests } from '@/core/records/shapes';
import { dryingStarted, selectUnderway, underwayEnded, useAppDispatch, useAppSelector } from '@/store';
import { Body, Button, Choice, FieldGroup, Problem, Small } from '@/ui';
import { minutesText } from '../shared/treatmentWords';
import { useNow } from '../shared/useNow';
import { FlowScreen, withHead } from './FlowScreen';
import { sinkOptions, slideOptions } from './readingOptions';

const NONE: PorosityTests = { mistSoakSeconds: null, dryMinutes: null, slide: null, sink: null };

/** Four tests, any of them; the drying one runs for hours while the app is closed. */
export const PorosityScreen = withHead(function Porosity({ head }: { head: Head }) {
  const dispatch = useAppDispatch();
  const [tests, setTests] = useState(NONE);
  const set = (part: Partial<PorosityTests>) => setTests((before) => ({ ...before, ...part }));
  const checked = porositySchema.safeParse(tests);
  const isAny = Object.values(tests).some((test) => test !== null);
  return (
    <FlowScreen
      head={head}
      flow="porosity"
      headline={t`How fast does it drink?`}
      reason={t`Any of the four. Two or three together say more than one.`}
      measured={checked.success ? { porosity: checked.data } : null}
      onSaved={() => {
        if (tests.dryMinutes !== null) dispatch(underwayEnded({ headId: head.headId, part: 'dryingSince' }));
      }}
    >
      <Mist seconds={tests.mistSoakSeconds} onSeconds={(mistSoakSeconds) => set({ mistSoakSeconds })} />
      <Drying head={head} minutes={tests.dryMinutes} onMinutes={(dryMinutes) => set({ dryMinutes })} />
      <FieldGroup label={t`Finger up the strand`}>
        <Choice
          label={t`Finger up the strand`}
          options={slideOptions()}
          value={tests.slide}
          onChange={(slide) => set({ slide })}
        />
      </FieldGroup>
      <FieldGroup
        label={t`Strand in a glass`}
        help={t`After ${plural({ afterMinutes: POROSITY_TESTS.sink.afterMinutes }, { one: '# minute', other: '# minutes' })}. Weak: a trace of oil decides it, so it counts little.`}
      >
        <Choice
          label={t`Strand in a glass`}
          options={sinkOptions()}
          value={tests.sink}
          onChange={(sink) => set({ sink })}
        />
      </FieldGroup>
      {isAny && !checked.success ? <Problem live>{checked.error.issues[0]?.message ?? ''}</Problem> : null}
      {isAny ? (
        <View className="items-start">
          <Button tone="quiet" label={t`Clear all four`} onPress={() => setTests(NONE)} />
        </View>
      ) : null}
    </FlowScreen>
  );
});

/** A stopwatch for the mist. */
function Mist({
  seconds,
  onSeconds,
}: {
  seconds: number | null;
  onSeconds: (seconds: number | null) => void;
}) {
  const [since, setSince] = useState<number | null>(null);
  const now = useNow(200, since !== null);
  const running = since === null ? null : Math.max(0, Math.round((now - since) / 1000));
  return (
    <FieldGroup label={t`Mist until it is gone`}>
      <View className="flex-row flex-wrap items-center gap-3">
        <Text className="min-w-column-m font-head text-huge text-ink" testID="mist-seconds" role="timer">
          {running ?? seconds ?? 0} s
        </Text>
        <Button
          tone={since === null ? 'plain' : 'main'}
          label={since === null ? (seconds === null ? t`Misted: start` : t`Start again`) : t`Gone: stop`}
          onPress={() => {
            if (since === null) setSince(Date.now());
            else {
              onSeconds(Math.max(READING_LIMITS.mistSeconds.least, Math.round((Date.now() - since) / 1000)));
              setSince(null);
            }
          }}
          testID="mist"
        />
      </View>
    </FieldGroup>
  );
}

const MINUTE_MS = 60_000;

/** From blotted to dry; begun now, ended hours later, whatever the page did meanwhile. */
function Drying({
  head,
  minutes,
  onMinutes,
}: {
  head: Head;
  minutes: number | null;
  onMinutes: (minutes: number | null) => void;
}) {
  const dispatch = useAppDispatch();
  const { dryingSince } = useAppSelector(selectUnderway(head.headId));
  const now = useNow(10_000, dryingSince !== null);
  const usual = Math.round(usualDryMinutes({ hairGrams: hairMassGrams(head) }));
  const gone = dryingSince === null ? 0 : (now - Date.parse(dryingSince)) / MINUTE_MS;
  const isForgotten = gone > READING_LIMITS.dryMinutes.most;
  return (
    <FieldGroup
      label={t`Drying in the air`}
      help={t`About ${{ minutes: minutesText(usual) }} is usual for this much hair. It goes on when the app is closed.`}
    >
      {minutes !== null ? <Body>{t`Dry after ${{ minutes: minutesText(minutes) }}.`}</Body> : null}
      {dryingSince === null ? (
        <View className="items-start">
          <Button
            label={t`Blotted: start`}
            onPress={() => dispatch(dryingStarted({ headId: head.headId, at: new Date().toISOString() }))}
            testID="drying-start"
          />
        </View>
      ) : (
        <>
          {minutes === null ? (
            <Body>
              {isForgotten
                ? t`It was begun more than a day ago: that says nothing about the hair any more.`
                : gone < 0
                  ? t`The clock of this device was set back since it began: begin again.`
                  : t`Drying for ${{ minutes: minutesText(Math.max(0, Math.round(gone))) }}.`}
            </Body>
          ) : null}
          <View className="flex-row flex-wrap gap-3">
            {isForgotten || minutes !== null || gone < 0 ? null : (
              <Button
                tone="main"
                label={t`Dry now`}
                onPress={() => onMinutes(Math.max(1, Math.round(gone)))}
                testID="drying-stop"
              />
            )}
            <Button
              label={t`Give up this drying`}
              onPress={() => {
                onMinutes(null);
                dispatch(underwayEnded({ headId: head.headId, part: 'dryingSince' }));
              }}
            />
          </View>
        </>
      )}
      {minutes !== null && minutes < READING_LIMITS.dryMinutes.least ? (
        <Small className="text-ink">{t`Hair does not dry in the air that fast: it was not wet, or it was not blotted yet.`}</Small>
      ) : null}
    </FieldGroup>
  );
}
