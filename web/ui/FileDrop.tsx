import { useRef, useState, type DragEvent } from 'react';
import { Button } from './Button';
import { droppedFiles } from './droppedFiles';

interface Props {
  /** What the file is, for those who cannot see the box. */
  label: string;
  /** What can be dropped here and what becomes of it. */
  hint: string;
  accept?: string;
  isReading: boolean;
  /** Whether several can be dropped at once. */
  isMany?: boolean;
  take: (files: File[]) => void;
}

/** Where a file is dropped, or chosen. */
export function FileDrop({ label, hint, accept, isReading, isMany = false, take }: Props) {
  const [over, setOver] = useState(false);
  const picker = useRef<HTMLInputElement>(null);
  const give = (files: Iterable<File> | null) => {
    const all = [...(files ?? [])].slice(0, isMany ? undefined : 1);
    if (all.length > 0 && !isReading) take(all);
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    const plain = [...event.dataTransfer.files];
    // A folder that cannot be read keeps no file beside it out.
    void droppedFiles(event.nativeEvent).then(give, () => give(plain));
  };
  return (
    <div
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
      className={`border border-dashed p-4 text-[14px] ${over ? 'border-elder bg-flower' : 'border-rule/60'}`}
    >
      <p className="text-soft">{hint}</p>
      <Button className="mt-3" onClick={() => picker.current?.click()} disabled={isReading}>
        {isReading ? 'Reading …' : isMany ? 'Choose files' : 'Choose a file'}
      </Button>
      <input
        ref={picker}
        type="file"
        multiple={isMany}
        accept={accept}
        className="sr-only"
        tabIndex={-1}
        aria-label={label}
        onChange={(event) => {
          give(event.target.files);
          event.target.value = '';
        }}
      />
    </div>
  );
}
