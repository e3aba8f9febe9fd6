import {
  DndContext,
  KeyboardSensor,
  MouseSensor,
  TouchSensor,
  useDraggable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { t } from '@lingui/core/macro';
import { Image, View } from 'react-native';
import Svg, { Polygon } from 'react-native-svg';
import { clamp } from '@/core/base/measures';
import type { Corners, Point } from '@/core/vision/pictures';
import { useTokens, useWidth } from '@/ui';
import type { ChosenPicture } from '../shared/useSeen';

/** As shares of width and height: nearly all of a picture: the corners can be taken hold of. */
export const WHOLE: Corners = [
  { x: 0.08, y: 0.08 },
  { x: 0.92, y: 0.08 },
  { x: 0.92, y: 0.92 },
  { x: 0.08, y: 0.92 },
];

interface CornersOverProps {
  readonly picture: ChosenPicture;
  /** Shares of the picture's width and height. */
  readonly corners: Corners;
  readonly onChange: (corners: Corners) => void;
}

/** Four corners over a picture, dragged by finger, mouse or arrow keys. */
export function CornersOver({ picture, corners, onChange }: CornersOverProps) {
  const { width, onLayout } = useWidth();
  const tokens = useTokens();
  const height = (width * picture.height) / picture.width;
  const sensors = useSensors(useSensor(MouseSensor), useSensor(TouchSensor), useSensor(KeyboardSensor));
  const moved = (index: number, by: Point) =>
    onChange(
      corners.map((corner, at) =>
        at === index
          ? { x: clamp(corner.x + by.x / width, 0, 1), y: clamp(corner.y + by.y / height, 0, 1) }
          : corner,
      ) as unknown as Corners,
    );
  return (
    <View onLayout={onLayout} style={{ minHeight: height }}>
      <Image
        source={{ uri: picture.uri }}
        alt={t`The label as you took it`}
        style={{ width: '100%', aspectRatio: picture.width / picture.height }}
      />
      {width > 0 ? (
        <DndContext
          sensors={sensors}
          onDragEnd={({ active, delta }) => moved(Number(active.id), { x: delta.x, y: delta.y })}
        >
          <View className="absolute inset-0" pointerEvents="none">
            <Svg width={width} height={height}>
              <Polygon
                points={corners.map(({ x, y }) => `${x * width},${y * height}`).join(' ')}
                fill="none"
                stroke={tokens.link}
                strokeWidth={3}
              />
            </Svg>
          </View>
          {corners.map((corner, index) => (
            <Handle key={index} index={index} left={corner.x * width} top={corner.y * height} />
          ))}
        </DndContext>
      ) : null}
    </View>
  );
}

const HANDLE = 44;

function Handle({ index, left, top }: { index: number; left: number; top: number }) {
  const { attributes, listeners, setNodeRef, transform } = useDraggable({ id: index });
  const names = [t`upper left corner`, t`upper right corner`, t`lower right corner`, t`lower left corner`];
  return (
    <div
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      aria-label={names[index]}
      className="absolute rounded-full border-4 border-link bg-raised opacity-80"
      style={{
        width: HANDLE,
        height: HANDLE,
        left: left - HANDLE / 2 + (transform?.x ?? 0),
        top: top - HANDLE / 2 + (transform?.y ?? 0),
        touchAction: 'none',
      }}
    />
  );
}
