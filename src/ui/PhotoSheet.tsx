import type { ReactNode } from 'react';
import css from './photoSheet.module.css';

/** How large a picture is, px. */
export interface PictureSize {
  readonly width: number;
  readonly height: number;
}

interface Props {
  readonly src: string;
  readonly alt: string;
  /** Null until the picture is there; then nothing lies over it yet. */
  readonly size: PictureSize | null;
  readonly onSize?: (size: PictureSize) => void;
  /** What lies over the picture, edge to edge. */
  readonly over?: ReactNode;
  /** What stands in the room about it. */
  readonly children?: ReactNode;
}

/** A picture shown whole and as large as there is room, with something over it to point or to draw on. */
export function PhotoSheet({ src, alt, size, onSize, over, children }: Props) {
  const { width, height } = size ?? { width: 1, height: 1 };
  return (
    <div className={css.room}>
      <div
        className={css.sheet}
        style={{ width: `min(100cqw, 100cqh * ${width / height})`, aspectRatio: `${width} / ${height}` }}
      >
        <img
          src={src}
          alt={alt}
          draggable={false}
          onLoad={({ currentTarget: { naturalWidth, naturalHeight } }) =>
            onSize?.({ width: naturalWidth, height: naturalHeight })
          }
        />
        {size && over}
      </div>
      {children}
    </div>
  );
}
