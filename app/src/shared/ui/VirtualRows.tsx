import { useVirtualizer, useWindowVirtualizer, type Virtualizer } from '@tanstack/react-virtual';
import { isValidElement, type ReactNode, useLayoutEffect, useRef, useState } from 'react';

/** Height of a row before it has been measured, and rows beyond the edge that are drawn too. */
const ROW_PX = 66;
const BEYOND = 8;

interface VirtualRowsProps {
  readonly rows: readonly ReactNode[];
}

/** What scrolls a list: the nearest box that does, or the page. */
function scrollerOf(list: HTMLElement): HTMLElement | null {
  for (let box = list.parentElement; box && box !== document.body; box = box.parentElement)
    if (/auto|scroll/.test(getComputedStyle(box).overflowY) && box.scrollHeight > box.clientHeight)
      return box;
  return null;
}

function Drawn({
  rows,
  virtual,
  offset,
}: VirtualRowsProps & {
  readonly virtual: Virtualizer<HTMLElement, Element> | Virtualizer<Window, Element>;
  readonly offset: number;
}) {
  return (
    <div role="list" style={{ position: 'relative', height: virtual.getTotalSize() }}>
      {virtual.getVirtualItems().map(({ index, key, start }) => {
        const row = rows[index];
        return (
          <div
            key={isValidElement(row) ? row.key : key}
            ref={virtual.measureElement}
            data-index={index}
            role="listitem"
            aria-setsize={rows.length}
            aria-posinset={index + 1}
            style={{ position: 'absolute', left: 0, right: 0, transform: `translateY(${start - offset}px)` }}
          >
            {row}
          </div>
        );
      })}
    </div>
  );
}

function InBox({ rows, box, top }: VirtualRowsProps & { readonly box: HTMLElement; readonly top: number }) {
  const virtual = useVirtualizer<HTMLElement, Element>({
    count: rows.length,
    getScrollElement: () => box,
    estimateSize: () => ROW_PX,
    overscan: BEYOND,
    scrollMargin: top,
  });
  return <Drawn rows={rows} virtual={virtual} offset={top} />;
}

function InPage({ rows, top }: VirtualRowsProps & { readonly top: number }) {
  const virtual = useWindowVirtualizer({
    count: rows.length,
    estimateSize: () => ROW_PX,
    overscan: BEYOND,
    scrollMargin: top,
  });
  return <Drawn rows={rows} virtual={virtual} offset={top} />;
}

/** A long list of which only what is near the screen is drawn, however long it is. */
export function VirtualRows({ rows }: VirtualRowsProps) {
  const place = useRef<HTMLDivElement>(null);
  const [at, setAt] = useState<{ readonly box: HTMLElement | null; readonly top: number } | null>(null);
  useLayoutEffect(() => {
    const list = place.current!;
    const box = scrollerOf(list);
    const top = list.getBoundingClientRect().top;
    setAt({
      box,
      top: box ? top - box.getBoundingClientRect().top + box.scrollTop : top + window.scrollY,
    });
  }, []);
  return (
    <div ref={place} style={at ? undefined : { height: rows.length * ROW_PX }}>
      {at === null ? null : at.box ? (
        <InBox rows={rows} box={at.box} top={at.top} />
      ) : (
        <InPage rows={rows} top={at.top} />
      )}
    </div>
  );
}
