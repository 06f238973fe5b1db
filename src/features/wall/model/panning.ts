import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { stepped, TALL } from './zoom';

/** Room for the names of rows and columns, px. */
export const HEAD = { width: 124, height: 96 } as const;

/** Scrolls so that a cell is clear of the heads. */
export function intoView(box: HTMLDivElement, top: number, left: number, high: number, wide: number): void {
  const room = { high: box.clientHeight - HEAD.height, wide: box.clientWidth - HEAD.width };
  if (top < box.scrollTop) box.scrollTop = top;
  else if (top + high > box.scrollTop + room.high) box.scrollTop = top + high - room.high;
  if (left < box.scrollLeft) box.scrollLeft = left;
  else if (left + wide > box.scrollLeft + room.wide) box.scrollLeft = left + wide - room.wide;
}

interface Point {
  readonly x: number;
  readonly y: number;
}

/** Scrolls so that what lay under a point of the box lies there still when all is so many times as large. */
function keepPlace(box: HTMLDivElement, ratio: number, { x, y }: Point): void {
  box.scrollLeft = (box.scrollLeft + x - HEAD.width) * ratio - x + HEAD.width;
  box.scrollTop = (box.scrollTop + y - HEAD.height) * ratio - y + HEAD.height;
}

/** Scrolls a cell into the middle of what the heads leave free. */
function centre(box: HTMLDivElement, [row, column]: readonly [number, number], zoom: number): void {
  box.scrollLeft = (column + 0.5) * zoom - (box.clientWidth - HEAD.width) / 2;
  box.scrollTop = (row + 0.5) * Math.round(zoom * TALL) - (box.clientHeight - HEAD.height) / 2;
}

/** What part of a box is in view, px. */
export function useView(box: React.RefObject<HTMLDivElement | null>) {
  const [view, setView] = useState({ top: 0, left: 0, width: 1180, height: 700 });
  useLayoutEffect(() => {
    const element = box.current!;
    const look = () =>
      setView({
        top: element.scrollTop,
        left: element.scrollLeft,
        width: element.clientWidth,
        height: element.clientHeight,
      });
    look();
    const watcher = new ResizeObserver(look);
    watcher.observe(element);
    element.addEventListener('scroll', look, { passive: true });
    return () => {
      watcher.disconnect();
      element.removeEventListener('scroll', look);
    };
  }, [box]);
  return view;
}

/**
 * Zooms by Ctrl and wheel or by two fingers, keeping what lies under them where it is; zoomed by a button or key,
 * the chosen cell comes to the middle.
 */
export function useZoomGestures(
  box: React.RefObject<HTMLDivElement | null>,
  zoom: number,
  onZoom: (zoom: number) => void,
  [row, column]: readonly [number, number],
) {
  const now = useRef({ zoom, onZoom, focus: null as Point | null });
  // Scrolled after the new zoom is drawn, before it is seen.
  useLayoutEffect(() => {
    const { zoom: before, focus } = now.current;
    now.current = { zoom, onZoom, focus: null };
    if (before === zoom) return;
    if (focus) keepPlace(box.current!, zoom / before, focus);
    else centre(box.current!, [row, column], zoom);
  }, [zoom, onZoom, box, row, column]);
  useEffect(() => {
    const element = box.current!;
    const go = (by: 1 | -1, x: number, y: number) => {
      const frame = element.getBoundingClientRect();
      now.current.focus = { x: x - frame.left, y: y - frame.top };
      now.current.onZoom(stepped(now.current.zoom, by));
    };
    const onWheel = (event: WheelEvent) => {
      if (!event.ctrlKey) return;
      event.preventDefault();
      go(event.deltaY < 0 ? 1 : -1, event.clientX, event.clientY);
    };
    let apart = 0;
    const spread = ([one, two]: TouchList | readonly Touch[]) =>
      Math.hypot(one!.clientX - two!.clientX, one!.clientY - two!.clientY);
    const onTouch = (event: TouchEvent) => {
      if (event.touches.length !== 2) return void (apart = 0);
      event.preventDefault();
      const [one, two] = [event.touches[0]!, event.touches[1]!];
      const wide = spread([one, two]);
      if (apart === 0) return void (apart = wide);
      if (wide > apart * 1.3 || wide < apart / 1.3) {
        go(wide > apart ? 1 : -1, (one.clientX + two.clientX) / 2, (one.clientY + two.clientY) / 2);
        apart = wide;
      }
    };
    element.addEventListener('wheel', onWheel, { passive: false });
    element.addEventListener('touchmove', onTouch, { passive: false });
    return () => {
      element.removeEventListener('wheel', onWheel);
      element.removeEventListener('touchmove', onTouch);
    };
  }, [box]);
}
