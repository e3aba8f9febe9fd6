import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { rounded } from '@/core/base/measures';
import {
  BLANK_STRAND,
  returnPercentOf,
  STRETCH,
  strandCheck,
  strandFromDraft,
  stretchPercentOf,
} from '@/core/hair/checks';
import type { Region, Strand } from '@/core/records/shapes';
import { Button, Chip, Field, Problem, Small, Strong } from '@/ui';
import { StrandPhoto } from './StrandPhoto';

interface TypedStrandProps {
  readonly number: number;
  readonly region: Region | null;
  readonly onTaken: (strand: Strand) => void;
}

/** One strand whose lengths were read off a ruler of paper. */
export function TypedStrand({ number, region, onTaken }: TypedStrandProps) {
  const [draft, setDraft] = useState(BLANK_STRAND);
  const [tried, setTried] = useState(false);
  const strand = strandFromDraft({ ...draft, region });
  const problems = tried ? strandCheck({ ...draft, region }) : {};
  const set = (part: Partial<typeof draft>) => setDraft((before) => ({ ...before, ...part }));
  const lengths = [
    { part: 'rest', label: t`at rest` },
    { part: 'stretched', label: draft.snapped ? t`snapped at` : t`stretched` },
    ...(draft.snapped ? [] : ([{ part: 'released', label: t`let go` }] as const)),
  ] as const;
  const next = lengths.find(({ part }) => draft[part] === '');
  const live = liveWords(Number(draft.rest), Number(draft.stretched), Number(draft.released));
  return (
    <View className="gap-2" role="group" aria-label={t`Strand ${number}`}>
      <Strong className="text-lead">{t`Strand ${number}, in millimetres`}</Strong>
      <View className="flex-row flex-wrap items-start gap-2">
        {lengths.map(({ part, label }) => (
          <Field
            key={part}
            label={label}
            numeric
            className="w-field-s"
            value={draft[part]}
            onChange={(text) => set({ [part]: text })}
            problem={problems[part]}
            testID={`strand-${part}`}
          />
        ))}
        <View className="pt-6">
          <Chip
            label={t`It snapped`}
            pressed={draft.snapped}
            onPress={() => set({ snapped: !draft.snapped })}
            testID="typed-snapped"
          />
        </View>
      </View>
      {live ? <Small className="text-ink">{live}</Small> : null}
      {next ? (
        <StrandPhoto
          key={next.part}
          what={next.label}
          onLength={(millimetres) => set({ [next.part]: String(millimetres) })}
        />
      ) : null}
      {Number(draft.stretched) > Number(draft.rest) * (1 + STRETCH.comfortablePercent / 100) ? (
        <Problem
          live
        >{t`Further than ${{ comfortablePercent: STRETCH.comfortablePercent }} % the pull itself harms the strand.`}</Problem>
      ) : null}
      <View className="items-start">
        <Button
          tone="main"
          label={t`Take this strand`}
          onPress={() => (strand ? onTaken(strand) : setTried(true))}
          testID="take-strand"
        />
      </View>
    </View>
  );
}

function liveWords(rest: number, stretched: number, released: number): string | null {
  if (!(rest > 0 && stretched >= rest)) return null;
  const stretch = t`stretch ${{ stretchPercent: rounded(stretchPercentOf(rest, stretched)) }} %`;
  return released > 0
    ? t`${stretch}, return ${{ returnPercent: rounded(returnPercentOf(rest, stretched, released)) }} %`
    : stretch;
}
