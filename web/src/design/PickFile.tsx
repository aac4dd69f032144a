import { useRef } from 'react';
import { Action } from './Plain.js';

/** A button that asks for one file and hands over its text, and what it's called. The same file can be chosen again. */
export const PickFile = ({
  accept,
  testId,
  onText,
  children,
}: {
  readonly accept: string;
  readonly testId: string;
  readonly onText: (text: string, name: string) => void;
  readonly children: React.ReactNode;
}): React.JSX.Element => {
  const picker = useRef<HTMLInputElement>(null);
  const read = async (file: File | undefined): Promise<void> => {
    if (file) onText(await file.text(), file.name);
  };
  return (
    <>
      <Action onClick={() => picker.current?.click()}>{children}</Action>
      <input
        ref={picker}
        type="file"
        accept={accept}
        hidden
        data-testid={testId}
        onChange={(event) => {
          void read(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
    </>
  );
};
