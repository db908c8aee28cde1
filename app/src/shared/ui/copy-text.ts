/** As browsers copied before they had a clipboard to write to, and do where the page came over plain HTTP. */
function copyBySelecting(text: string): boolean {
  const box = document.createElement('textarea');
  box.value = text;
  box.setAttribute('readonly', '');
  box.style.position = 'fixed';
  box.style.opacity = '0';
  document.body.append(box);
  box.select();
  const done = document.execCommand('copy');
  box.remove();
  return done;
}

/** Puts a text onto the clipboard. @returns whether the browser let it */
export async function copyText(text: string): Promise<boolean> {
  const clipboard = navigator.clipboard as Clipboard | undefined;
  if (!clipboard) return copyBySelecting(text);
  try {
    await clipboard.writeText(text);
    return true;
  } catch (error) {
    if (error instanceof DOMException) return copyBySelecting(text);
    throw error;
  }
}
