import '../global.css';
import { Slot } from 'expo-router';
import { lazy } from 'react';
import { AppShell } from '@/features/shell/AppShell';
import { answersOnThePageFrom } from '@/workers';

export { ErrorBoundary } from '@/features/shell/ErrorBoundary';

answersOnThePageFrom(() => import('@/rooms'));

const PARTS = {
  WashBar: lazy(async () => ({ default: (await import('@/rooms')).WashBar })),
  KeyHelp: lazy(async () => ({ default: (await import('@/rooms')).KeyHelp })),
  Palette: lazy(async () => ({ default: (await import('@/rooms')).Palette })),
  placeOfKey: async (key: string) => (await import('@/rooms')).placeOfKey(key),
};

export default function Layout() {
  return (
    <AppShell parts={PARTS}>
      <Slot />
    </AppShell>
  );
}
