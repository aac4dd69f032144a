import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { failureText, useLibrary, useOwn } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { useMeQuery, useNewFootageMutation } from '../server/index.js';
import { FOOTAGE_TEXT as T } from './footage.text.js';
import { agreements, athleteRef, fieldsOf, sheetForFile, type Sheet } from './sheet.js';
import { SheetForm } from './SheetForm.js';

type Props = {
  readonly fileId: string;
  readonly fileName: string;
  /** The file is here and read; until then the sheet can be filled in, but not put on the shelf. */
  readonly isTaken: boolean;
  /** The frames [fromFrame, toFrame) of the file that show it, where it is not the whole. */
  readonly stretch?: { readonly fromFrame: number; readonly toFrame: number };
  readonly onDone: () => void;
  readonly children: React.ReactNode;
};

/** The sheet of a file that comes in; filled in, it goes on the shelf. */
export const TakeIn = ({ fileId, fileName, isTaken, stretch, onDone, children }: Props): React.JSX.Element => {
  const [ids] = useState(() => ({ footage: newId(), angle: newId(), edit: newId() }));
  const [newFootage, { error, isLoading }] = useNewFootageMutation();
  const { persons } = useLibrary();
  const navigate = useNavigate();
  const edit = useEdit();
  const account = useMeQuery().data?.account.id ?? '';
  const [logged, setLogged] = useOwn<Sheet['logged']>(`odograph.logged.${account}`, '');
  const keep = async (sheet: Sheet): Promise<void> => {
    const [athleteA, athleteB] = [athleteRef(sheet.first, persons), athleteRef(sheet.second, persons)];
    const made = await newFootage({
      editId: ids.edit,
      id: ids.footage,
      angleId: ids.angle,
      fileId,
      fromFrame: stretch?.fromFrame ?? null,
      toFrame: stretch?.toFrame ?? null,
      ...fieldsOf(sheet),
      clock: [],
      spans: [],
      athleteA,
      athleteB,
    });
    if (!made.error) agreements(sheet, athleteA, athleteB).forEach(edit);
    setLogged(sheet.logged);
    if (!made.error) await navigate(`/break-down/${ids.footage}`);
  };
  return (
    <SheetForm
      title={T.newTitle}
      start={sheetForFile(fileName, logged)}
      submit={T.save}
      waiting={!isTaken || isLoading}
      onSubmit={(sheet) => void keep(sheet)}
      onCancel={onDone}
      problem={error && failureText(error)}
    >
      {children}
    </SheetForm>
  );
};
