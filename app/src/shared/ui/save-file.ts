/** Hands a file to the phone to keep. @param type of text that is given; a blob says its own */
export function saveFile(name: string, content: string | Blob, type = ''): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(typeof content === 'string' ? new Blob([content], { type }) : content);
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}
