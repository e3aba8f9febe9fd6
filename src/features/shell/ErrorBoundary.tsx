import { t } from '@lingui/core/macro';
import type { ErrorBoundaryProps } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { dayOfDate } from '@/core/base/measures';
import { writeBackup } from '@/core/records/files';
import { browserStorage } from '@/store';
import { Body, Button, Problem, Screen, Small } from '@/ui';
import { saveTextFile } from '../shared/browserFiles';
import { recordsText } from '../shared/recordsText';

/** A file of the application that did not come: the server is away, or has a newer version. */
const NOT_FETCHED =
  /load(ing)? .*(failed|module|chunk|script)|failed to (fetch|load)|dynamically imported|bundle/i;

/**
 * Stands where a screen broke. It asks nothing of the store, which may be what broke: the backup is read from what lies in
 * the browser.
 */
export function ErrorBoundary({ error }: ErrorBoundaryProps) {
  const [said, setSaid] = useState<string | null>(null);
  const isMissing = NOT_FETCHED.test(error.message);
  const exportAll = async () => {
    try {
      const { records } = await browserStorage().loadRecords();
      const now = new Date();
      saveTextFile(
        `velvet-rhythm-${dayOfDate(now)}.json`,
        writeBackup(records, now.toISOString()),
        'application/json',
      );
      setSaid(t`In the file: ${{ records: recordsText(records.length) }}.`);
    } catch {
      setSaid(t`The records cannot be read from the browser now. They are not deleted; try again later.`);
    }
  };
  return (
    <View className="flex-1 bg-paper">
      <Screen
        headline={isMissing ? t`A piece of the app did not load` : t`This screen broke`}
        reason={
          isMissing
            ? t`The server is away, or has a newer version. Your records are in this browser, as they were.`
            : t`It is our mistake, not yours. Your records are in this browser, as they were.`
        }
      >
        <View className="flex-row flex-wrap gap-3">
          <Button tone="main" label={t`Open it again`} onPress={() => window.location.reload()} />
          <Button label={t`Go to today`} onPress={() => window.location.assign('/')} />
          <Button label={t`Export everything`} onPress={() => void exportAll()} testID="broken-export" />
        </View>
        {said ? <Body>{said}</Body> : null}
        <Small>{t`What happened, to share:`}</Small>
        <Problem>{error.message.slice(0, 300)}</Problem>
      </Screen>
    </View>
  );
}
