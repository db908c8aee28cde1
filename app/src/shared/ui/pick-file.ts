/** Asks the browser for files; nothing happens when none is picked. @param accept as of a file input */
export function pickFiles(accept: string, onPick: (files: readonly File[]) => void, isMany = true): void {
  const input = document.createElement('input');
  input.type = 'file';
  input.accept = accept;
  input.multiple = isMany;
  input.onchange = () => {
    const files = [...(input.files ?? [])];
    if (files.length > 0) onPick(files);
  };
  input.click();
}

/** Asks for one. */
export const pickFile = (accept: string, onPick: (file: File) => void): void =>
  pickFiles(accept, ([file]) => onPick(file!), false);
