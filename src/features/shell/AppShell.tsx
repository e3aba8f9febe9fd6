import { usePathname } from 'expo-router';
import { Fragment, Suspense, useEffect, type ComponentType, type ReactNode } from 'react';
import { View } from 'react-native';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { Provider } from 'react-redux';
import {
  browserStorage,
  makeStore,
  selectPrefs,
  selectStatus,
  selectWashRuns,
  startPersistence,
  useAppSelector,
} from '@/store';
import { PersonContext, useAppearance, useTheme, useWide, useWideClass } from '@/ui';
import { keepInstallOffer } from '../shared/installOffer';
import { Keys, type KeyParts } from './Keys';
import { NewVersion } from './NewVersion';
import { Opening } from './Opening';
import { PersonChooser } from './PersonChooser';
import { Places } from './Places';
import { StorageNotice } from './StorageNotice';
import { UndoBar } from './UndoBar';
import { useDailyCopy } from './useDailyCopy';
import { useDayTicker } from './useDayTicker';
import { useDemoStart } from './useDemoStart';
import { useLanguage } from './useLanguage';
import { useLeaveWarning } from './useLeaveWarning';
import { workersAnswer } from './workersAnswer';

/** Parts of other features that stand around every place; each is fetched when it is first needed. */
export interface ShellParts {
  /** While a wash day is under way. */
  readonly WashBar: ComponentType;
  readonly KeyHelp: KeyParts['KeyHelp'];
  readonly Palette: KeyParts['Palette'];
  readonly placeOfKey: KeyParts['placeOfKey'];
}

const storage = browserStorage();
const store = makeStore(storage, workersAnswer());
const PERSON = <PersonChooser />;

/** Everything around a place: the store, the stored records, the theme, the bar of places. */
export function AppShell({ children, parts }: { children: ReactNode; parts: ShellParts }) {
  useEffect(() => {
    const ended = startPersistence(store, storage);
    return () => void ended.then((end) => end());
  }, []);
  return (
    <SafeAreaProvider>
      <Provider store={store}>
        <InLanguage>
          <Frame parts={parts}>{children}</Frame>
        </InLanguage>
      </Provider>
    </SafeAreaProvider>
  );
}

/** All texts below are made again when another language is spoken, or other units are shown. */
function InLanguage({ children }: { children: ReactNode }) {
  const { units } = useAppSelector(selectPrefs);
  return <Fragment key={`${useLanguage()} ${units}`}>{children}</Fragment>;
}

function Frame({ children, parts }: { children: ReactNode; parts: ShellParts }) {
  const { WashBar } = parts;
  const wide = useWide();
  const isWashing = Object.keys(useAppSelector(selectWashRuns)).length > 0;
  // While she washes there is nothing to tap by mistake.
  const isBare = usePathname() === '/wash' && isWashing;
  const { theme, textSize, motion } = useAppSelector(selectPrefs);
  const loading = useAppSelector(selectStatus) === 'loading';
  useLeaveWarning();
  useDayTicker();
  useDailyCopy();
  useDemoStart();
  useEffect(keepInstallOffer, []);
  useTheme(theme);
  useWideClass();
  useAppearance(Number(textSize), motion === 'less');
  return (
    <View className="flex-1 bg-paper wide:flex-row">
      {wide && !isBare ? <Places /> : null}
      <View role="main" className="flex-1">
        <StorageNotice />
        {isWashing ? null : <NewVersion />}
        {isWashing ? (
          <Suspense fallback={null}>
            <WashBar />
          </Suspense>
        ) : null}
        {loading ? <Opening /> : <PersonContext value={PERSON}>{children}</PersonContext>}
      </View>
      {wide || isBare ? null : <Places />}
      <UndoBar at={isBare ? 'head' : 'foot'} />
      <Keys parts={parts} />
    </View>
  );
}
