import { KIT_WORDS, type KitItem } from '@/core/agenda';
import { t } from '@/core/language';
import type { MakingStep } from '@/core/making';
import { Small } from '@/ui';
import { useKit } from '../shared/useKit';

/** Which tool a step wants; heat and freezer come after the making. */
const TOOL_OF: Readonly<Partial<Record<MakingStep['do'], KitItem>>> = {
  strain: 'strainer',
  blend: 'blender',
  weigh: 'scale',
};

/** What to do instead where the house lacks what the steps want. */
export function WithoutTool({ steps }: { steps: readonly Pick<MakingStep, 'do'>[] }) {
  const { lacks } = useKit();
  const wanted = new Set(steps.map((step) => TOOL_OF[step.do]));
  return lacks
    .filter((item) => wanted.has(item))
    .map((item) => (
      <Small key={item} className="text-ink">
        {t`Without ${KIT_WORDS[item].label}: ${KIT_WORDS[item].without}`}
      </Small>
    ));
}
