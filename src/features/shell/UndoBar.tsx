import { t } from '@lingui/core/macro';
import * as Toast from '@rn-primitives/toast';
import { useCallback, useEffect } from 'react';
import { Text } from 'react-native';
import { recordsAdded, selectUndo, undoClosed, useAppDispatch, useAppSelector } from '@/store';
import { withdrawing } from '../shared/stamp';
import { isWriting } from './isWriting';

/** How long the offer stands. Long enough to read and to reach by keyboard; the record itself can be corrected any time. */
const OFFER_MS = 12_000;

const OFFER = 'offer';
const NOTHING: readonly string[] = [];

/** Where it covers no button: over the bar of places, or below the head of a wash day, whose buttons stand at the foot. */
const STANDS = { foot: 'bottom-bar wide:bottom-6', head: 'top-bar' } as const;

/** Says what was written down and takes it back in one tap; taking back is a record too, nothing is erased. */
export function UndoBar({ at }: { at: keyof typeof STANDS }) {
  const offer = useAppSelector(selectUndo);
  const dispatch = useAppDispatch();
  const close = useCallback(() => void dispatch(undoClosed()), [dispatch]);
  const recordIds = offer?.recordIds ?? NOTHING;
  const undo = useCallback(() => void dispatch(recordsAdded(withdrawing(recordIds))), [dispatch, recordIds]);

  useEffect(() => {
    if (!offer) return;
    // Whoever is on it is not hurried.
    const timer = setInterval(() => {
      if (!document.activeElement?.closest(`[data-testid="${OFFER}"]`)) close();
    }, OFFER_MS);
    return () => clearInterval(timer);
  }, [offer, close]);
  useEffect(() => {
    if (recordIds.length === 0) return;
    const press = (event: KeyboardEvent) => {
      const isUndo = (event.ctrlKey || event.metaKey) && !event.shiftKey && event.key.toLowerCase() === 'z';
      if (!isUndo || isWriting(event.target)) return;
      event.preventDefault();
      undo();
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, [recordIds, undo]);

  return (
    <Toast.Root
      type="background"
      testID={OFFER}
      open={offer !== null}
      onOpenChange={close}
      className={`absolute left-4 right-4 flex-row items-center gap-2 rounded-2xl bg-ink py-1 pl-5 pr-2 wide:left-auto wide:max-w-note ${STANDS[at]}`}
    >
      <Toast.Title className="flex-1 font-text text-body text-paper">{offer?.said ?? ''}</Toast.Title>
      {recordIds.length > 0 ? (
        <Toast.Action
          onPress={undo}
          aria-label={t`Undo`}
          testID="undo"
          className="min-h-target min-w-target items-center justify-center rounded-xl px-3"
        >
          <Text className="font-strong text-body text-paper underline">{t`Undo`}</Text>
        </Toast.Action>
      ) : null}
      <Toast.Close
        aria-label={t`Close`}
        testID="offer-close"
        className="min-h-target min-w-target items-center justify-center rounded-xl px-3"
      >
        <Text className="font-strong text-body text-paper">×</Text>
      </Toast.Close>
    </Toast.Root>
  );
}
