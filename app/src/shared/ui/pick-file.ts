/** Asks the browser for a file; nothing happens when none is picked. @param accept as of a file input */
export function pickFile(accept: string, onPick: (file: File) => void): void {
  const input = document.createElement('input');
  input.type = 'file';
  input.accept = accept;
  input.onchange = () => {
    const file = input.files?.[0];
    if (file) onPick(file);
  };
  input.click();
}
