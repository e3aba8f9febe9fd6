import { t } from '@lingui/core/macro';
import type { MakingStep } from '@/core/kitchen/making';
import { kitWords } from '@/core/plan/agenda';
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
        {t`Without ${{ item: kitWords()[item].label }}: ${{ without: kitWords()[item].without }}`}
      </Small>
    ));
}
