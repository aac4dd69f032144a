import { Box } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { failureText, useLibrary, useNewFootageMutation } from '../library/index.js';
import { FOOTAGE_TEXT as T } from './footage.text.js';
import { athleteRef, fieldsOf, sheetForFile, type Sheet } from './sheet.js';
import { SheetForm } from './SheetForm.js';
import { upload, type UploadResult } from './upload.js';

type Progress = { readonly part: number; readonly result: UploadResult | null };

const progressText = ({ part, result }: Progress): string => {
  if (result) return result.ok ? T.taken(result.file.frames) : result.why;
  return part < 1 ? T.sending(part) : T.reading;
};

/** Takes one file in while its sheet is filled in. */
export const TakeIn = ({ file, onDone }: { readonly file: File; readonly onDone: () => void }): React.JSX.Element => {
  const [ids] = useState(() => ({ file: newId(), footage: newId(), angle: newId(), edit: newId() }));
  const [progress, setProgress] = useState<Progress>({ part: 0, result: null });
  const [newFootage, { error, isLoading }] = useNewFootageMutation();
  const { persons } = useLibrary();
  const navigate = useNavigate();
  useEffect(() => {
    const leaving = new AbortController();
    const hear = (heard: Progress): void => {
      if (!leaving.signal.aborted) setProgress(heard);
    };
    void upload(ids.file, file, (part) => hear({ part, result: null }), leaving.signal).then((result) =>
      hear({ part: 1, result }),
    );
    return () => leaving.abort();
  }, [ids, file]);
  const { result } = progress;
  const keep = async (sheet: Sheet): Promise<void> => {
    const made = await newFootage({
      editId: ids.edit,
      id: ids.footage,
      angleId: ids.angle,
      fileId: ids.file,
      ...fieldsOf(sheet),
      live: true,
      counted: true,
      athleteA: athleteRef(sheet.first, persons),
      athleteB: athleteRef(sheet.second, persons),
    });
    if (!made.error) await navigate(`/break-down/${ids.footage}`);
  };
  return (
    <SheetForm
      title={T.newTitle}
      start={sheetForFile(file.name)}
      submit={T.save}
      waiting={!result?.ok || isLoading}
      onSubmit={(sheet) => void keep(sheet)}
      onCancel={onDone}
    >
      <Box
        marginBottom="5"
        role={result && !result.ok ? 'alert' : 'status'}
        color={result && !result.ok ? 'caution' : 'ink'}
        data-testid="taking-in"
      >
        <Box fontFamily="mono" fontSize="13px" color="inkSoft">
          {file.name}
        </Box>
        <Box height="3px" background="hairline" marginBlock="1.5">
          <Box height="100%" background={result && !result.ok ? 'caution' : 'us'} width={`${progress.part * 100}%`} />
        </Box>
        {progressText(progress)}
        {error && <Box color="caution">{failureText(error)}</Box>}
      </Box>
    </SheetForm>
  );
};
