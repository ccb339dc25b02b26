"use client";
import { DndContext, type DragEndEvent } from "@dnd-kit/core";
import { SortableContext, arrayMove, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { GripVertical } from "lucide-react";
import { useState } from "react";
import type { OrderCard } from "@/core/recall/recall-card";
import { useSortedRow, useSorting } from "@/ui/kit/sorting/useSorting";

interface Props {
  card: OrderCard;
  /** The order that was given, as indices of strips; null before. */
  given: readonly number[] | null;
  onGive: (order: readonly number[]) => void;
}

/** Paper strips to be put in order: dragged, or lifted with space and moved with the arrows. */
export function OrderQuestion({ card, given, onGive }: Props) {
  const [order, setOrder] = useState(() => card.strips.map((_, i) => i));
  const sorting = useSorting();
  const shown = given ?? order;
  const drop = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id)
      setOrder((now) => arrayMove(now, now.indexOf(Number(active.id) - 1), now.indexOf(Number(over.id) - 1)));
  };
  return (
    <div className="max-w-2xl">
      <DndContext id={card.id} {...sorting} onDragEnd={drop}>
        {/* An id of nought counts as none. */}
        <SortableContext
          items={shown.map((i) => i + 1)}
          strategy={verticalListSortingStrategy}
          disabled={given !== null}
        >
          <ol className="grid gap-1.5" aria-label="Strips">
            {shown.map((strip, place) => (
              <Strip
                key={strip}
                id={strip + 1}
                place={place}
                text={card.strips[strip]}
                off={given !== null && card.order[place] !== strip ? card.order.indexOf(strip) : null}
                done={given !== null}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      {given === null && (
        <p className="mt-2 flex items-center gap-3">
          <button type="button" className="btn" onClick={() => onGive(order)}>
            That is the order
          </button>
          <span className="text-[13px] text-ink2">drag, or lift with space and move with ↑ ↓</span>
        </p>
      )}
    </div>
  );
}

interface StripProps {
  id: number;
  place: number;
  text: string;
  /** Where it belongs, when it lies elsewhere; null where it lies right or nothing is said yet. */
  off: number | null;
  done: boolean;
}

function Strip({ id, place, text, off, done }: StripProps) {
  const { setRow, style, handle, isDragging } = useSortedRow(id);
  return (
    <li ref={setRow} style={style} className={`flex items-center gap-3 ${isDragging ? "relative z-10" : ""}`}>
      <span className="num w-4 text-ink2">{place + 1}</span>
      <button
        type="button"
        disabled={done}
        {...handle}
        className={`flex flex-1 touch-none items-center gap-2 border-2 bg-sheet px-2 py-1 text-left disabled:opacity-100 ${isDragging ? "rotate-[-0.6deg] border-harbour" : off !== null ? "border-brick" : done ? "border-pine" : "border-ink2"}`}
      >
        <GripVertical size={15} aria-hidden="true" className="text-ink2" />
        <span className="flex-1">{text}</span>
        {off !== null && (
          <span className="text-[13px] text-brick">
            {off > place ? "too early" : "too late"}, belongs at {off + 1}
          </span>
        )}
      </button>
    </li>
  );
}
