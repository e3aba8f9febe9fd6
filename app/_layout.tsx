import '../global.css';
import { Slot } from 'expo-router';
import { AppShell } from '@/features/shell/AppShell';

export { ErrorBoundary } from '@/features/shell/ErrorBoundary';

export default function Layout() {
  return (
    <AppShell>
      <Slot />
    </AppShell>
  );
}
