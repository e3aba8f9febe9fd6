import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { recordsOfHead, writeRecipes } from '@/core/files/sharing';
import { READING_TABLE, SESSION_TABLE, writeRecords } from '@/core/files/tables';
import { writeBackup } from '@/core/records/files';
import { ofKind } from '@/core/records/shapes';
import {
  prefsChanged,
  selectAllRecords,
  selectHeads,
  selectLarder,
  selectRecipes,
  useAppDispatch,
  useAppSelector,
} from '@/store';
import { Button, FieldGroup, Heading, Small } from '@/ui';
import { fileNameOf, saveTextFile } from '../shared/browserFiles';
import { useToday } from '../shared/useToday';
import { ShowCodes } from './ShowCodes';

const JSON_TYPE = 'application/json';
const TABLE_TYPE = 'text/csv;charset=utf-8';
/** So that spreadsheets read letters beyond ASCII as they are. */
const BYTE_ORDER_MARK = '\uFEFF';

/** Everything out, or a part of it for somebody else, in open formats. */
export function SaveFiles() {
  const records = useAppSelector(selectAllRecords);
  const heads = useAppSelector(selectHeads);
  const larder = useAppSelector(selectLarder);
  const recipes = useAppSelector(selectRecipes);
  const dispatch = useAppDispatch();
  const today = useToday();
  const now = () => new Date().toISOString();
  const everything = () => {
    const exportedAt = now();
    saveTextFile(`velvet-rhythm-${today}.json`, writeBackup(records, exportedAt), JSON_TYPE);
    dispatch(prefsChanged({ exportedAt }));
  };
  const head = (headId: string, name: string) =>
    saveTextFile(
      `head-${fileNameOf(name)}-${today}.json`,
      writeBackup(recordsOfHead(records, headId), now()),
      JSON_TYPE,
    );
  const allRecipes = () =>
    saveTextFile(
      `recipes-${today}.json`,
      writeRecipes(
        larder,
        recipes.map(({ recipeId }) => recipeId),
        ofKind(records, 'ingredient'),
        now(),
      ),
      JSON_TYPE,
    );
  const table = (name: string, text: string) =>
    saveTextFile(`${name}-${today}.csv`, BYTE_ORDER_MARK + text, TABLE_TYPE);
  return (
    <View className="gap-4">
      <Heading level={2}>{t`Save`}</Heading>
      <View className="items-start gap-1">
        <Button
          tone="main"
          label={t`Export everything`}
          onPress={everything}
          disabled={records.length === 0}
          testID="export"
        />
        <Small>{t`One file with all of it, to keep elsewhere or to open on another device.`}</Small>
      </View>
      <ShowCodes />
      {heads.length > 0 ? (
        <FieldGroup
          label={t`One person, for somebody else`}
          help={t`Checks, treatments, plan, and the recipes used. Nothing of anybody else and nothing of the kitchen.`}
        >
          <View className="flex-row flex-wrap gap-2">
            {heads.map(({ headId, name }) => (
              <Button key={headId} label={name} hint={t`Export ${name}`} onPress={() => head(headId, name)} />
            ))}
          </View>
        </FieldGroup>
      ) : null}
      {recipes.length > 0 ? (
        <FieldGroup
          label={t`Recipes, for a friend`}
          help={t`With the ingredients of your own that they need. One alone goes out from its own page.`}
        >
          <View className="items-start">
            <Button
              label={t`All recipes`}
              hint={t`Export all recipes`}
              onPress={allRecipes}
              testID="export-recipes"
            />
          </View>
        </FieldGroup>
      ) : null}
      <FieldGroup
        label={t`Tables, for a spreadsheet`}
        help={t`Change a row there, open the table again, and that record is corrected; a row without an id is new.`}
      >
        <View className="flex-row flex-wrap gap-2">
          <Button
            label={t`Checks`}
            hint={t`Export checks as a table`}
            onPress={() => table('readings', writeRecords(READING_TABLE, records))}
            testID="export-readings"
          />
          <Button
            label={t`Treatments`}
            hint={t`Export treatments as a table`}
            onPress={() => table('treatments', writeRecords(SESSION_TABLE, records))}
          />
        </View>
      </FieldGroup>
    </View>
  );
}
