import { usePathname } from 'expo-router';
import { lazy, Suspense, useEffect, type ReactNode } from 'react';
import { View } from 'react-native';
import { Provider } from 'react-redux';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import {
  browserStorage,
  makeStore,
  selectPrefs,
  selectStatus,
  selectWashRuns,
  startPersistence,
  useAppSelector,
} from '@/store';
import { warmWorkers } from '@/workers';
import { useAppearance, useTheme, useWide } from '@/ui';
import { HairAnswerProvider } from '../shared/HairAnswer';
import { Keys } from './Keys';
import { NewVersion } from './NewVersion';
import { Opening } from './Opening';
import { Places } from './Places';
import { StorageNotice } from './StorageNotice';
import { UndoBar } from './UndoBar';
import { useDailyCopy } from './useDailyCopy';
import { useDemoStart } from './useDemoStart';
import { useLeaveWarning } from './useLeaveWarning';

warmWorkers();

/** Fetched when a wash day is under way. */
const WashBar = lazy(async () => ({ default: (await import('@/features/rooms')).WashBar }));

const storage = browserStorage();
const store = makeStore(storage);

/** Everything around a place: the store, the stored records, the theme, the bar of places. */
export function AppShell({ children }: { children: ReactNode }) {
  useEffect(() => {
    const ended = startPersistence(store, storage);
    return () => void ended.then((end) => end());
  }, []);
  return (
    <SafeAreaProvider>
      <Provider store={store}>
        <HairAnswerProvider>
          <Frame>{children}</Frame>
        </HairAnswerProvider>
      </Provider>
    </SafeAreaProvider>
  );
}

function Frame({ children }: { children: ReactNode }) {
  const wide = useWide();
  const isWashing = Object.keys(useAppSelector(selectWashRuns)).length > 0;
  // While she washes there is nothing to tap by mistake.
  const isBare = usePathname() === '/wash' && isWashing;
  const { theme, textSize, motion } = useAppSelector(selectPrefs);
  const loading = useAppSelector(selectStatus) === 'loading';
  useLeaveWarning();
  useDailyCopy();
  useDemoStart();
  useTheme(theme);
  useAppearance(Number(textSize), motion === 'less');
  return (
    <View className={`flex-1 bg-paper ${wide ? 'flex-row' : ''}`}>
      {wide && !isBare ? <Places /> : null}
      <View role="main" className="flex-1">
        <StorageNotice />
        {isWashing ? null : <NewVersion />}
        {isWashing ? (
          <Suspense fallback={null}>
            <WashBar />
          </Suspense>
        ) : null}
        {loading ? <Opening /> : children}
      </View>
      {wide || isBare ? null : <Places />}
      <UndoBar />
      <Keys />
    </View>
  );
}
