/** A button that asks for one file. */
import { useRef } from 'react';
import { Button } from './controls.tsx';

export function FilePick({
  accept,
  onFile,
  children,
  name,
}: {
  readonly accept: string;
  readonly onFile: (file: File) => void;
  readonly children: React.ReactNode;
  /** Found by tests and labels: what the file is. */
  readonly name: string;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button onClick={() => input.current?.click()}>{children}</Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        hidden
        data-file={name}
        onChange={(event) => {
          const file = event.target.files?.[0];
          // The same file chosen again must count as a choice.
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
    </>
  );
}
