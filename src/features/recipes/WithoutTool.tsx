import { t } from '@lingui/core/macro';
import { kitWords } from '@/core/plan/agenda';
import type { Deed, KitItem, SavedStep } from '@/core/records/shapes';
import { Small } from '@/ui';
import { useKit } from '../shared/useKit';

/** Which tool a step wants; heat and freezer come after the making. */
const TOOL_OF: Readonly<Partial<Record<Deed, KitItem>>> = { strain: 'strainer', blend: 'blender' };

/** What to do instead where the house lacks what the steps want. */
export function WithoutTool({ steps }: { steps: readonly Pick<SavedStep, 'deeds'>[] }) {
  const { lacks } = useKit();
  const wanted = new Set(steps.flatMap(({ deeds }) => deeds.map((deed) => TOOL_OF[deed])));
  return lacks
    .filter((item) => wanted.has(item))
    .map((item) => (
      <Small key={item} className="text-ink">
        {t`Without ${{ item: kitWords()[item].label }}: ${{ without: kitWords()[item].without }}`}
      </Small>
    ));
}
