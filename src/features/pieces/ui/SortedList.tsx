'use client';
import { DndContext, MouseSensor, pointerWithin, TouchSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import DragIndicator from '@mui/icons-material/DragIndicator';
import type { ReactNode } from 'react';
import css from './pieces.module.css';

interface ListProps {
  /** One for each item, in their order. */
  readonly ids: string[];
  readonly className: string | undefined;
  readonly onMove: (from: number, to: number) => void;
  readonly children: ReactNode;
}

/** A list in an order that is changed by dragging its items' handles; the keys need another way beside it. */
export function SortedList({ ids, className, onMove, children }: ListProps) {
  // A press that hardly moves is none; a thumb that stays on a handle drags.
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
  );
  return (
    <DndContext
      id="sorted"
      sensors={sensors}
      // An open item is far taller than the others: what counts is where the pointer is.
      collisionDetection={pointerWithin}
      onDragEnd={({ active, over }) => {
        if (over && over.id !== active.id)
          onMove(ids.indexOf(String(active.id)), ids.indexOf(String(over.id)));
      }}
    >
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ol className={className}>{children}</ol>
      </SortableContext>
    </DndContext>
  );
}

interface ItemProps {
  readonly id: string;
  readonly className: string | undefined;
  readonly isOpen: boolean;
  /** Whether there is none to change places with. */
  readonly isAlone: boolean;
  readonly children: (handle: ReactNode) => ReactNode;
}

/** An item of a sorted list, with the handle that drags it. */
export function SortedItem({ id, className, isOpen, isAlone, children }: ItemProps) {
  const { setNodeRef, setActivatorNodeRef, listeners, transform, transition, isDragging } = useSortable({
    id,
  });
  return (
    <li
      ref={setNodeRef}
      className={className}
      data-open={isOpen || undefined}
      data-dragged={isDragging || undefined}
      style={{ transform: transform ? `translateY(${transform.y}px)` : undefined, transition }}
    >
      {children(
        !isAlone && (
          <span
            ref={setActivatorNodeRef}
            {...listeners}
            className={css.handle}
            title="Drag to put it on earlier or later"
            data-testid={`drag ${id}`}
          >
            <DragIndicator fontSize="small" />
          </span>
        ),
      )}
    </li>
  );
}
