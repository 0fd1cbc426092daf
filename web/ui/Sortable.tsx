import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import type { ReactNode } from 'react';

interface SortableProps {
  /** The ids of what is put in order, as it stands now. */
  ids: readonly string[];
  /** Puts the one at `from` where `to` is; `across` is how far it was dragged to the right, in px. */
  move: (from: number, to: number, across: number) => void;
  /** Whether being dragged to the side alone means something. */
  sideways?: boolean;
  children: ReactNode;
}

/** A list whose rows are put in order by dragging, or by keys on their handles: Space takes one up, arrows move it. */
export function Sortable({ ids, move, sideways = false, children }: SortableProps) {
  const sensors = useSensors(
    // A few pixels first, so that a click stays a click.
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const end = ({ active, over, delta }: DragEndEvent) => {
    if (!over || (active.id === over.id && !sideways)) return;
    move(ids.indexOf(String(active.id)), ids.indexOf(String(over.id)), delta.x);
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={end}>
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

interface RowProps {
  id: string;
  /** The row's id in the page, where it must be found there. */
  anchor?: string;
  /** What the handle is called, such as "Move ticks". */
  label: string;
  as?: 'li' | 'div';
  className?: string;
  disabled?: boolean;
  children: ReactNode;
}

/** One row of a `Sortable`, its handle at the left. */
export function SortableRow({
  id,
  anchor,
  label,
  as: Tag = 'div',
  className = '',
  disabled = false,
  children,
}: RowProps) {
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({
    id,
    disabled,
  });
  return (
    <Tag
      id={anchor}
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`flex items-start gap-1.5 ${isDragging ? 'relative z-10 bg-page shadow-md' : ''} ${className}`}
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        disabled={disabled}
        aria-label={label}
        title="Drag, or press Space and the arrow keys"
        className="mt-1.5 shrink-0 cursor-grab touch-none rounded-[2px] text-soft opacity-60 hover:opacity-100 disabled:invisible"
      >
        <GripVertical size={14} aria-hidden />
      </button>
      <div className="min-w-0 grow">{children}</div>
    </Tag>
  );
}

/** The items with the one at `from` put where `to` is. */
export function moved<T>(items: readonly T[], from: number, to: number): T[] {
  const rest = items.filter((_, index) => index !== from);
  return [...rest.slice(0, to), items[from]!, ...rest.slice(to)];
}
