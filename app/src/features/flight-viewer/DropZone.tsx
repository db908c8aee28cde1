import type { ReactNode } from 'react';

/** Takes files that are dropped on the page. */
export function DropZone({
  onDrop,
  children,
}: {
  readonly onDrop: (files: readonly File[]) => void;
  readonly children: ReactNode;
}) {
  return (
    <div
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        const files = [...event.dataTransfer.files];
        if (files.length > 0) onDrop(files);
      }}
      style={{ display: 'flex', flex: 1, minHeight: 0 }}
    >
      {children}
    </div>
  );
}
