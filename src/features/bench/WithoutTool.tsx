import { t } from '@/core/base/language';
import type { MakingStep } from '@/core/kitchen/making';
import { KIT_WORDS } from '@/core/plan/agenda';
import type { KitItem } from '@/core/records/shapes';
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
