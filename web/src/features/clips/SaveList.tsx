import { clipsCsv, type ListedClip } from '@odograph/core';
import { Action, saveText } from '../../design/index.js';
import { useLibrary, useTables, useWords, type ClipView } from '../library/index.js';
import { CLIPS_TEXT as T } from './clips.text.js';

/** Clips out as a list: those that are shown, in their order. */
export const SaveList = ({ shown }: { readonly shown: readonly ClipView[] }): React.JSX.Element => {
  const library = useLibrary();
  const words = useWords();
  const askTables = useTables();
  const save = async (): Promise<void> => {
    const tables = await askTables([...new Set(shown.map((v) => v.angle.id))]);
    const listed = shown.flatMap(({ clip, attempt, footage, angle, file }): ListedClip[] => {
      const table = tables.get(angle.id);
      return table ? [{ clip, attempt, footage, table, camera: file.name }] : [];
    });
    saveText('odograph-clips.csv', 'text/csv', clipsCsv(listed, library, words));
  };
  return (
    <Action disabled={!shown.length} onClick={() => void save()}>
      {T.save}
    </Action>
  );
};
