import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  MouseSensor,
  TouchSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
  type KeyboardCoordinateGetter,
} from '@dnd-kit/core';
import { msg, t } from '@lingui/core/macro';
import type { ReactNode } from 'react';
import { Text, View } from 'react-native';
import { worded } from '@/core/base/language';
import { calendarDay, formatDay, type CalendarDay } from '@/core/base/measures';
import type { Assignment } from '@/core/plan/planning';
import { useWeek } from './WeekContext';

const dayOf = (id: string | number | undefined): CalendarDay | null =>
  typeof id === 'string' && id.startsWith('day/') ? calendarDay(id.slice(4)) : null;

/** Arrow keys go from day to day, whichever way the days run. */
const toNextDay: KeyboardCoordinateGetter = (event, { context }) => {
  const { droppableRects, collisionRect, over } = context;
  const step = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.code];
  if (step === undefined || !collisionRect) return undefined;
  event.preventDefault();
  const days = [...droppableRects.keys()].map(String).sort();
  const next = days[days.indexOf(String(over?.id ?? days[0])) + step];
  const rect = next === undefined ? undefined : droppableRects.get(next);
  if (!rect) return undefined;
  return {
    x: rect.left + rect.width / 2 - collisionRect.width / 2,
    y: rect.top + rect.height / 2 - collisionRect.height / 2,
  };
};

const said = (id: string | number | undefined) => {
  const day = dayOf(id);
  return day ? formatDay(day, 'EEEE d MMMM') : t`no day`;
};
const announcements: Announcements = {
  onDragStart: () =>
    t`Picked up. Use the arrow keys to choose a day, space to put it there, escape to leave it.`,
  onDragOver: ({ over }) => t`Over ${{ said: said(over?.id) }}.`,
  onDragEnd: ({ over }) => (over ? t`Put on ${{ said: said(over.id) }}.` : t`Left where it was.`),
  onDragCancel: () => t`Left where it was.`,
};

const screenReaderInstructions = worded(
  {
    draggable: msg`To pick it up, press space or enter. Choose a day with the arrow keys; space or enter puts it there, escape leaves it.`,
  },
  'draggable',
);

/** Lets the main treatments within it be dragged from day to day, by pointer, by touch and by keyboard. */
export function DragTreatments({ children }: { children: ReactNode }) {
  const { plan, decisions } = useWeek();
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
    useSensor(KeyboardSensor, { coordinateGetter: toNextDay }),
  );
  const dropped = ({ active, over }: DragEndEvent) => {
    const to = dayOf(over?.id);
    const assignment = plan.days
      .flatMap(({ assignments }) => assignments)
      .find((each) => each.slot === 'main' && `treatment/${each.day}` === active.id);
    if (to && assignment) decisions.move(assignment, to);
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{ announcements, screenReaderInstructions }}
      onDragEnd={dropped}
    >
      {children}
    </DndContext>
  );
}

/** A day that a treatment can be put on. */
export function DropDay({ day, children }: { day: CalendarDay; children: ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id: `day/${day}` });
  return (
    <View
      ref={setNodeRef as never}
      className={`flex-1 justify-center gap-1 rounded-xl wide:justify-start ${isOver ? 'bg-zone' : ''}`}
      testID={`drop-${day}`}
    >
      {children}
    </View>
  );
}

/** What a main treatment is picked up by. */
export function DragHandle({ assignment }: { assignment: Assignment }) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({
    id: `treatment/${assignment.day}`,
  });
  const { onMouseDown, onTouchStart, onKeyDown } = listeners ?? {};
  const web = { onMouseDown, onTouchStart, onKeyDown } as object;
  return (
    <View
      ref={setNodeRef as never}
      {...web}
      role="button"
      tabIndex={0}
      aria-roledescription={attributes['aria-roledescription']}
      aria-describedby={attributes['aria-describedby']}
      aria-label={t`Drag ${{ treatmentName: assignment.name }} to another day`}
      testID={`drag-${assignment.day}`}
      className={`min-h-target min-w-target cursor-grab touch-none items-center justify-center rounded-xl ${isDragging ? 'z-10 bg-raised' : ''}`}
      style={
        transform ? { transform: [{ translateX: transform.x }, { translateY: transform.y }] } : undefined
      }
    >
      <Text aria-hidden className="font-strong text-lead text-soft-ink">
        ⠿
      </Text>
    </View>
  );
}
