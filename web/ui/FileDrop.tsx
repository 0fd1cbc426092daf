import { useRef, useState, type DragEvent } from 'react';
import { Button } from './Button';

interface Props {
  /** What the file is, for those who cannot see the box. */
  label: string;
  /** What can be dropped here and what becomes of it. */
  hint: string;
  accept: string;
  isReading: boolean;
  take: (file: File) => void;
}

/** Where a file is dropped, or chosen. */
export function FileDrop({ label, hint, accept, isReading, take }: Props) {
  const [over, setOver] = useState(false);
  const picker = useRef<HTMLInputElement>(null);
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    const [file] = event.dataTransfer.files;
    if (file) take(file);
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
        {isReading ? 'Reading …' : 'Choose a file'}
      </Button>
      <input
        ref={picker}
        type="file"
        accept={accept}
        className="sr-only"
        tabIndex={-1}
        aria-label={label}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) take(file);
          event.target.value = '';
        }}
      />
    </div>
  );
}
