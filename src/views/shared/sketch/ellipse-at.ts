import type { Ellipse } from '@/core/errors/ellipse';
import type { Pixel, View } from '@/sketch/view';

/** The attributes of an ellipse around a pixel. */
export const ellipseAt = (
  { x, y }: Pixel,
  { semiMajorMetres, semiMinorMetres, azimuthDegrees }: Ellipse,
  { k, turn }: View,
) => ({
  rx: semiMajorMetres * k,
  ry: semiMinorMetres * k,
  transform: `translate(${x} ${y}) rotate(${azimuthDegrees - turn - 90})`,
});
