import { router, usePathname, type Href } from 'expo-router';
import { Suspense, useEffect, useState, type ComponentType } from 'react';
import { selectPrefs, useAppSelector } from '@/store';
import { useWide } from '@/ui';
import { isWriting } from './isWriting';

type Sheet = ComponentType<{ readonly onClose: () => void }>;

/** What keys open; fetched when one of them is first pressed. */
export interface KeyParts {
  readonly KeyHelp: Sheet;
  readonly Palette: Sheet;
  /** Where a key leads. */
  readonly placeOfKey: (key: string) => Promise<Href | undefined>;
}

/** In a row of choices or a list the letters and arrows are its own. */
const OWN_KEYS = '[role="radiogroup"], [role="slider"], [role="listbox"], [role="dialog"]';

/** Those that lead to places are among them. */
const A_KEY = /^[a-z\d]$/;

const isTaken = (target: EventTarget | null) =>
  isWriting(target) || (target instanceof Element && target.closest(OWN_KEYS) !== null);

/** Keys that lead somewhere; `?` lists them. Silent while she writes, and in a wash day, where nothing is to happen by mistake. */
export function Keys({ parts: { KeyHelp, Palette, placeOfKey } }: { parts: KeyParts }) {
  const [open, setOpen] = useState<'help' | 'palette' | null>(null);
  const { keys } = useAppSelector(selectPrefs);
  const wide = useWide();
  const isWashing = usePathname() === '/wash';
  useEffect(() => {
    if (!keys || isWashing) return;
    const press = (event: KeyboardEvent) => {
      const isPalette = (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k';
      if (event.defaultPrevented || event.altKey || (isTaken(event.target) && !isPalette)) return;
      if (isPalette || (event.key === '/' && !event.ctrlKey)) {
        if (!wide) return;
        event.preventDefault();
        setOpen('palette');
        return;
      }
      if (event.ctrlKey || event.metaKey) return;
      if (event.key === '?') setOpen('help');
      if (A_KEY.test(event.key)) void placeOfKey(event.key).then((place) => place && router.push(place));
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, [keys, isWashing, wide, placeOfKey]);
  if (open === null) return null;
  const close = () => setOpen(null);
  return (
    <Suspense fallback={null}>
      {open === 'help' ? <KeyHelp onClose={close} /> : <Palette onClose={close} />}
    </Suspense>
  );
}
