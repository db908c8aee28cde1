/** Whether the browser has a voice. */
export const hasVoice = (): boolean => 'speechSynthesis' in globalThis;

/** Says it by the browser's own voice, and stops what it was saying; silent where it has none. */
export function readAloud(words: string): void {
  if (!hasVoice()) return;
  speechSynthesis.cancel();
  if (words === '') return;
  const said = new SpeechSynthesisUtterance(words);
  said.lang = 'en';
  speechSynthesis.speak(said);
}
