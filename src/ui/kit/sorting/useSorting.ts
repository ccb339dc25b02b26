"use client";
import { KeyboardSensor, PointerSensor, closestCenter, useSensor, useSensors } from "@dnd-kit/core";
import { sortableKeyboardCoordinates, useSortable } from "@dnd-kit/sortable";
import type { CSSProperties } from "react";

/** How a list is put in order: dragged, or lifted with space and moved with the arrows. A click stays a click. */
export function useSorting() {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  return { sensors, collisionDetection: closestCenter };
}

/** A row of such a list, which moves up and down only. */
export function useSortedRow(id: string | number) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  const style: CSSProperties = { transform: transform ? `translate(0, ${transform.y}px)` : undefined, transition };
  return { setRow: setNodeRef, style, handle: { ...attributes, ...listeners }, isDragging };
}
