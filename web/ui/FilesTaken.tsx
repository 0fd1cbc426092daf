import { useRef, useState, type ComponentProps, type Ref } from 'react';
import { Button } from './Button';

type Take = (files: File[]) => void;

interface AreaProps extends Omit<ComponentProps<'section'>, 'onDrop'> {
  /** Takes what is dropped; null where nothing may be. */
  take: Take | null;
}

/** A part of the page on which files can be dropped. */
export function DropArea({ take, className = '', ...rest }: AreaProps) {
  const [isOver, setOver] = useState(false);
  const dropping = take && {
    onDragOver: (event: React.DragEvent) => {
      event.preventDefault();
      setOver(true);
    },
    onDragLeave: () => setOver(false),
    onDrop: (event: React.DragEvent) => {
      event.preventDefault();
      setOver(false);
      take([...event.dataTransfer.files]);
    },
  };
  return <section {...rest} {...dropping} className={`${className} ${isOver ? 'bg-flower' : ''}`} />;
}

interface PickProps {
  /** What the files are for. */
  label: string;
  take: Take;
  disabled?: boolean;
  ref?: Ref<HTMLButtonElement>;
}

/** A button by which files are chosen. */
export function AddFiles({ label, take, disabled, ref }: PickProps) {
  const picker = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button ref={ref} look="text" disabled={disabled} onClick={() => picker.current?.click()}>
        Add files
      </Button>
      <input
        ref={picker}
        type="file"
        multiple
        className="sr-only"
        tabIndex={-1}
        aria-label={label}
        onChange={(event) => {
          take([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
    </>
  );
}
