import { useEffect, type ReactNode } from 'react';
import { View } from 'react-native';
import { Provider } from 'react-redux';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import {
  browserStorage,
  makeStore,
  selectPrefs,
  selectStatus,
  startPersistence,
  useAppSelector,
} from '@/store';
import { warmWorkers } from '@/workers';
import { useTheme, useWide } from '@/ui';
import { HairAnswerProvider } from '../shared/HairAnswer';
import { Places } from './Places';
import { StorageNotice } from './StorageNotice';
import { UndoBar } from './UndoBar';
import { useDemoStart } from './useDemoStart';
import { useLeaveWarning } from './useLeaveWarning';

warmWorkers();

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
  const { theme } = useAppSelector(selectPrefs);
  const loading = useAppSelector(selectStatus) === 'loading';
  useLeaveWarning();
  useDemoStart();
  useTheme(theme);
  return (
    <View className={`flex-1 bg-paper ${wide ? 'flex-row' : ''}`}>
      {wide ? <Places /> : null}
      <View role="main" className="flex-1">
        <StorageNotice />
        {loading ? null : children}
      </View>
      {wide ? null : <Places />}
      <UndoBar />
    </View>
  );
}
